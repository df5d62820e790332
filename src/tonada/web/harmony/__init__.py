"""Harmony: views and models."""
