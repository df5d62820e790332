"""Colours: spaces, contrast, notations, names, hue rules, ramps. Knows of no take."""
