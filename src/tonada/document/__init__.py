"""The take as a document: what crosses every boundary, checked by pydantic; and its file."""
