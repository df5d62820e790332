"""Flask: thin JSON views over core and store."""
