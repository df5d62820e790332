"""The take: one alternative palette for a brand, and what keeps it consistent."""
