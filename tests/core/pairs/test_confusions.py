"""Roles that other eyes can hardly tell apart."""

from __future__ import annotations

from dataclasses import replace

from tests.takes import take_of
from tonada.core.color.apart import TOLD_APART
from tonada.core.pairs.confusions import confusions


def test_confused_roles_are_named_with_a_lightness_that_tells_them() -> None:
    take = take_of("#c8443c", "#6e6e1e", "#2b3a8c")
    free = replace(take, swatches=tuple(replace(one, held=False) for one in take.swatches))
    found = confusions(free, "deutan")
    assert found
    assert all(one.difference < TOLD_APART <= one.typical for one in found)
    first = found[0]
    assert first.mend
    key, value = first.mend.swatch, first.mend.hex
    mended = replace(
        free, swatches=tuple(replace(one, hex=value) if one.id == key else one for one in free.swatches)
    )
    still = {(one.one, one.other) for one in confusions(mended, "deutan")}
    assert (first.one, first.other) not in still
    assert all(
        one.mend is None
        for one in confusions(take, "deutan")
        if {one.one, one.other} < {"primary", "secondary"}
    )
