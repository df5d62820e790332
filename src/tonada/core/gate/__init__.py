"""The check of files for a build: their pairs, whether each passes, reports, and mends in place."""
