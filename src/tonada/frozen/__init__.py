"""What a client sees, frozen with what draws it: for a server, or as one file. No database."""
