"""Brands: views."""
