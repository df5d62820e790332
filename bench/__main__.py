"""Prints every table."""

from bench import evaluation, extraction, serving

for part in (extraction, evaluation, serving):
    print(part.run(), flush=True)
