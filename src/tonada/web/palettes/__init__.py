"""Ready-made palettes: views, models, and the shelf that keeps them at hand."""
