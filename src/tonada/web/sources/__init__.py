"""Sources: views and models."""
