"""A whole brand as one file: sources, takes, versions, reviews with their record; out, and in again."""
