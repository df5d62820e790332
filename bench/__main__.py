"""Prints every table."""

from bench import evaluation, extraction

for part in (extraction, evaluation):
    print(part.run(), flush=True)
