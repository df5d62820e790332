"""The session: view and models."""
