"""Prints every table."""

from bench import evaluation, extraction, roles, serving

for part in (extraction, roles, evaluation, serving):
    print(part.run(), flush=True)
