"""Roles: models."""
