"""Pairs and sight: views and models."""
