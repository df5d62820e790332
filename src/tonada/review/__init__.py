"""Reviews without a database: what is shown is frozen here, set as one file, and told as a history."""
