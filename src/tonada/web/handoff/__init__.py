"""Handoff: views and models."""
