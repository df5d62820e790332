"""Ready-made palettes: what they are, how ours are made, finding one, taking it."""
