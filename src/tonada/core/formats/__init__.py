"""One module per format: bytes or text of the format to a palette and back."""
