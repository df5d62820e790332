"""What WCAG 2.2 asks: by usage, size, weight and level."""

from __future__ import annotations

import pytest

from tonada.core.color.requirements import requirement
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
