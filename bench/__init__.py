"""Benchmarks: each figure beside a peer that was measured in the same run. Start: make bench."""
