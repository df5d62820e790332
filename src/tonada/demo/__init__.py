"""Made-up brands with logos drawn for the purpose, so that a first look shows work."""
