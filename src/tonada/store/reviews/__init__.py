"""Reviews: what is shown, the links to it, what was said, chosen and approved, and who is told of it."""
