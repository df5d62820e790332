"""One module per subject. Each view checks, calls one thing, and shapes the answer."""
