"""Pages as an installed browser renders them: an optional part, for `tonada check --render`."""
