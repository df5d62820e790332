"""Text and ground: what is needed, what is reached, and to whose eyes."""
