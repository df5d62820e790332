"""The hues of a take: the chord, characters, variations, the stave, advice."""
