"""One module for each kind of file that isn’t a text of colours alone; `files.py` has them all."""
