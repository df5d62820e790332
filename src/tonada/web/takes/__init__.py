"""Takes: views and models."""
