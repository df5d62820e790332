"""What colours are read from: pictures, stylesheets, moods."""
