"""Prints every table."""

from bench import evaluation, extraction, handoff, pairs, roles, serving

for part in (extraction, roles, pairs, evaluation, handoff, serving):
    print(part.run(), flush=True)
