"""The client's review: what a palette's colours are for in plain words, and what happened, as sentences."""
