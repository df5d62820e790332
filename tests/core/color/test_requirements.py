"""What WCAG 2.2 asks: by usage, size, weight and level."""

from __future__ import annotations

import math

import pytest

from tonada.core.color.requirements import is_large, requirement
from tonada.core.color.wcag import Level, Usage


@pytest.mark.parametrize(
    ("usage", "level", "size", "weight", "ratio", "criterion"),
    [
        pytest.param(Usage.BODY_TEXT, "AA", None, None, 4.5, "1.4.3", id="body text"),
        pytest.param(Usage.BODY_TEXT, "AAA", None, None, 7, "1.4.6", id="enhanced"),
        pytest.param(Usage.BODY_TEXT, "A", None, None, 1, "1.4.3", id="level A asks nothing of text"),
        pytest.param(Usage.BODY_TEXT, "AA", 24, None, 3, "1.4.3", id="24 px is large"),
        pytest.param(Usage.BODY_TEXT, "AA", 23.99, None, 4.5, "1.4.3", id="a little under isn't"),
        pytest.param(Usage.BUTTON_LABEL, "AA", 18.67, 700, 3, "1.4.3", id="14 pt bold is large"),
        pytest.param(Usage.BUTTON_LABEL, "AA", 18.66, 700, 4.5, "1.4.3", id="18.66 px is under 14 pt"),
        pytest.param(Usage.BUTTON_LABEL, "AA", 20, 600, 4.5, "1.4.3", id="semibold isn't bold"),
        pytest.param(Usage.BUTTON_LABEL, "AA", 20, None, 4.5, "1.4.3", id="without a weight it isn't bold"),
        pytest.param(Usage.LINK, "AA", 12, 400, 4.5, "1.4.3", id="a small link"),
        pytest.param(Usage.LARGE_TEXT, "AA", 16, None, 4.5, "1.4.3", id="large in name only"),
        pytest.param(Usage.LARGE_TEXT, "AAA", None, None, 4.5, "1.4.6", id="large, enhanced"),
        pytest.param(Usage.PART, "AAA", 40, 700, 3, "1.4.11", id="a part has no AAA and no size"),
        pytest.param(Usage.LINK_IN_TEXT, "A", None, None, 3, "1.4.1", id="link told by colour"),
        pytest.param(Usage.FOCUS, "AAA", None, None, 3, "2.4.13", id="focus"),
    ],
)
def test_what_is_asked_is_what_the_standard_says(
    usage: Usage, level: Level, size: float | None, weight: int | None, ratio: float, criterion: str
) -> None:
    asked = requirement(usage, level, size, weight)
    assert (asked.ratio, asked.criterion, asked.exempt) == (ratio, criterion, False)


@pytest.mark.parametrize(
    ("usage", "size", "counted"),
    [
        (Usage.LINK, 12.0, Usage.LINK),
        (Usage.LARGE_TEXT, 12.0, Usage.BODY_TEXT),
        (Usage.LARGE_TEXT, None, Usage.LARGE_TEXT),
        (Usage.LINK, 24.0, Usage.LARGE_TEXT),
        (Usage.FOCUS, 24.0, Usage.FOCUS),
    ],
)
def test_only_the_size_of_a_text_makes_it_count_as_another(
    usage: Usage, size: float | None, counted: Usage
) -> None:
    assert requirement(usage, "AA", size).usage is counted


def test_fourteen_points_bold_are_large_to_the_last_digit() -> None:
    """Source: WCAG 2.2, large scale text; CSS has 96 pixels for 72 points."""
    assert is_large(14 * 96 / 72, 700)
    assert not is_large(math.nextafter(14 * 96 / 72, 0), 700)
