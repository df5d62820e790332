"""Texts in one line."""

from __future__ import annotations

from hypothesis import given
from hypothesis import strategies as st

from tonada.core.take.texts import one_line


@given(st.text())
def test_a_line_can_be_seen_and_stays_as_it_is(text: str) -> None:
    line = one_line(text)
    assert line.isprintable()
    assert line == one_line(line) == line.strip()
    assert "  " not in line
    assert [one for one in line if one != " "] == [one for one in text if one.isprintable() and one != " "]


def test_what_people_write_is_kept() -> None:
    for text in ("Müller & Söhne", "日本の青", "عربي", "Signal-rot (neu) 2"):
        assert one_line(text) == text
