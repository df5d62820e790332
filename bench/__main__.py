"""Prints every table."""

from bench import evaluation, extraction, pairs, roles, serving

for part in (extraction, roles, pairs, evaluation, serving):
    print(part.run(), flush=True)
