"""What is done with reviews, over what is kept of them: they are made, and links to them."""
