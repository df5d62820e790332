"""Reviews are made of versions and shared by links with tokens."""
