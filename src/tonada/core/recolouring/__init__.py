"""An existing stylesheet in a take’s colours: which old value becomes what, and the files that result."""
