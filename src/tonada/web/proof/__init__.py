"""The proof: views and models."""
