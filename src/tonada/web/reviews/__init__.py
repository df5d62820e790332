"""Reviews: the designer's side, the client's side, and who is told."""
