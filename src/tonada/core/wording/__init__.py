"""What clients are told in plain words: what a palette’s colours are for, and what happened to a review."""
