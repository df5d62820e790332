"""Prints every table."""

from bench import evaluation, extraction, handoff, pairs, palettes, roles, serving

for part in (extraction, roles, pairs, palettes, evaluation, handoff, serving):
    print(part.run(), flush=True)
