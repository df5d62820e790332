"""A take on its way out: the slots of a destination, and what changed since the last time."""
