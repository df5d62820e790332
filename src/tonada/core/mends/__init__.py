"""The least visible changes that make failing pairs pass."""
