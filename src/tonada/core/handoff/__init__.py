"""A take on its way out: slots, stylesheets in its colours, what changed, checks of files."""
