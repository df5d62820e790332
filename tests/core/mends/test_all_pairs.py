"""All pairs mended at once: the least that makes pass what can."""

from __future__ import annotations

from dataclasses import replace

from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import FAILING, TAKE, TYPED, take_of
from tonada.core.color.contrast import luminance_of
from tonada.core.color.spaces import difference_between, hex_to_oklch
from tonada.core.color.wcag import Level, Usage
from tonada.core.mends.all_pairs import MIDDLE, _one_round, mend_all
from tonada.core.mends.kept_apart import BRAND, GROUNDS, apart_in
from tonada.core.mends.one_pair import is_held
from tonada.core.pairs.evaluation import evaluate
from tonada.core.pairs.ground_pairs import with_ground_pairs
from tonada.core.take.take import Pair, Role, Swatch, Take

# On a grey of this lightness no text whatever has 7 to 1.
GREY = Swatch("t0", "Grey", "#777777", True, TYPED)
HOPELESS = replace(
    TAKE,
    swatches=(*TAKE.swatches, GREY),
    roles=tuple(
        replace(one, swatch="t0", step=None, text_step=None) if one.role == Role.ACCENT else one
        for one in TAKE.roles
    ),
    pairs=(*TAKE.pairs, Pair("part", Role.ACCENT, "t0", Usage.BODY_TEXT, "Grey on grey")),
)


@given(st.lists(hexes, min_size=1, max_size=3, unique=True), st.sampled_from(["AA", "AAA"]))
@settings(max_examples=examples(25), deadline=None)
def test_all_pairs_are_mended_where_nothing_is_held(values: list[str], level: Level) -> None:
    take = take_of(*values)
    free = replace(take, level=level, swatches=tuple(replace(one, held=False) for one in take.swatches))
    mended = mend_all(free)
    after = evaluate(mended.take)
    assert after.failing == len(mended.impossible)
    assert after.failing <= evaluate(free).failing
    if level == "AA":
        assert after.failing == 0
    assert mend_all(free) == mended


def test_held_colors_are_untouched_and_named() -> None:
    mended = mend_all(HOPELESS)
    before = {one.id: one.hex for one in HOPELESS.swatches if one.held}
    assert {one.id: one.hex for one in mended.take.swatches if one.id in before} == before
    assert any("Accent is held" in text for text in mended.impossible)


def test_another_role_as_its_text_goes_before_any_colour() -> None:
    mended = mend_all(FAILING)
    assert mended.moved == ()
    assert [(one.name, one.before, one.after) for one in mended.texts] == [
        ("Paper on Accent", "Paper", "Ink")
    ]
    assert mended.impossible == ()
    assert evaluate(mended.take).failing == 0
    assert mended.size.startswith("No colour moves")


@given(
    st.lists(hexes, min_size=1, max_size=3, unique=True),
    st.dictionaries(st.sampled_from([Role.PAPER, Role.MIST, Role.DEEP, Role.MUTED, Role.ACCENT]), hexes),
    st.sampled_from(["AA", "AAA"]),
)
@settings(max_examples=examples(25), deadline=None)
def test_what_differs_on_a_page_differs_after_mending(
    values: list[str], moved: dict[Role, str], level: Level
) -> None:
    """Grounds and brand colours that were told apart still are, whatever they were set to by hand."""
    take = replace(take_of(*values), level=level)
    swatches = [replace(one, held=one.held and row == 0) for row, one in enumerate(take.swatches)]
    roles = list(take.roles)
    for number, (role, value) in enumerate(moved.items()):
        swatches.append(Swatch(f"t{number}", f"By hand {number}", value, False, TYPED))
        row = next(place for place, one in enumerate(roles) if one.role == role)
        roles[row] = replace(roles[row], swatch=f"t{number}", step=None, text_step=None)
    take = replace(take, swatches=tuple(swatches), roles=tuple(roles))
    mended = mend_all(take)
    for apart in apart_in(take):
        after = difference_between(mended.take.hex_of(apart.one), mended.take.hex_of(apart.other))
        assert after >= apart.least - 1e-9, apart
    assert evaluate(mended.take).failing <= evaluate(take).failing


def test_what_moved_is_called_by_its_role() -> None:
    grey = Swatch("t1", "White 2", "#f2f2f2", False, TYPED)
    roles = tuple(
        replace(one, swatch="t1", step=None, text_step=None) if one.role == Role.MUTED else one
        for one in TAKE.roles
    )
    take = replace(TAKE, swatches=(*TAKE.swatches, grey), roles=roles)
    mended = mend_all(take)
    assert "Muted" in [one.name for one in mended.moved]
    assert not any("White" in text for text in (mended.size, *mended.impossible))


def test_what_can_be_mended_is_although_something_else_can_t() -> None:
    muted = next(number for number, one in enumerate(HOPELESS.roles) if one.role == Role.MUTED)
    roles = list(HOPELESS.roles)
    roles[muted] = replace(roles[muted], step=4)
    take = replace(HOPELESS, roles=tuple(roles))
    mended = mend_all(take)
    short = {one.id for one in evaluate(mended.take).pairs if one.short_by > 0}
    assert short == {"part"}
    assert [one.name for one in mended.moved] == ["Muted"]


def test_a_take_that_passes_is_left_as_it_is() -> None:
    night = take_of("#2b3a8c").turned()
    assert mend_all(night).take == night


def test_of_two_pairs_between_the_same_colours_the_stricter_counts() -> None:
    """A label at 4.5 and a line at 3 between two free colours: both are met, whichever comes first."""
    grey = Swatch("t1", "Grey", "#808080", False, TYPED)
    other = Swatch("t2", "Other grey", "#8a8a8a", False, TYPED)
    pairs = (
        Pair("text", "t1", "t2", Usage.BODY_TEXT, "A text"),
        Pair("part", "t1", "t2", Usage.PART, "A part"),
    )
    for order in (pairs, pairs[::-1]):
        take = replace(TAKE, swatches=(*TAKE.swatches, grey, other), pairs=(*TAKE.pairs, *order))
        plan = _one_round(with_ground_pairs(take), set())[0]
        assert not [one.id for one in evaluate(plan).pairs if one.id in ("text", "part") and one.short_by > 0]


def test_a_colour_that_moves_keeps_its_hue_and_a_grey_stays_grey() -> None:
    """Only lightness gives way, and chroma where sRGB has no more of it at that lightness."""
    for value in ("#e08a8a", "#8fb4e8", "#9a9a9a", "#c9a34a"):
        swatch = Swatch("t1", "A colour", value, False, TYPED)
        pair = Pair("text", "t1", Role.PAPER, Usage.BODY_TEXT, "A text")
        take = replace(TAKE, swatches=(*TAKE.swatches, swatch), pairs=(*TAKE.pairs, pair))
        mended = mend_all(take).take.swatch("t1").hex
        (_, chroma, hue), (_, after, turned) = hex_to_oklch(value), hex_to_oklch(mended)
        assert mended != value
        if chroma < 0.02:
            assert after < 0.005
        else:
            assert after > 0.5 * chroma
            assert abs((turned - hue + 180) % 360 - 180) < 2


def test_a_step_that_was_moved_says_so() -> None:
    muted = next(number for number, one in enumerate(TAKE.roles) if one.role == Role.MUTED)
    roles = list(TAKE.roles)
    roles[muted] = replace(roles[muted], step=4)
    mended = mend_all(replace(TAKE, roles=tuple(roles))).take.assignment(Role.MUTED)
    assert mended.reason == "Moved to another step by mending all pairs."


BLUES = take_of("#1f4e8c", "#4a86c8", "#9cc3ea", "#0d2a4d")


def on_swatch(take: Take, value: str, *given: Role) -> Take:
    """Return the take with roles on a swatch itself."""
    swatch = next(one.id for one in take.swatches if one.hex == value)
    roles = (replace(one, swatch=swatch, step=None) if one.role in given else one for one in take.roles)
    return replace(take, roles=tuple(roles))


def test_a_text_on_a_held_swatch_moves_to_a_step_of_it_and_the_page_is_not_turned() -> None:
    mended = mend_all(on_swatch(BLUES, "#4a86c8", Role.INK))
    assert mended.impossible == ()
    assert [one.name for one in mended.moved] == ["Ink"]
    ink = mended.take.assignment(Role.INK)
    assert ink.step is not None
    assert ink.swatch == next(one.id for one in BLUES.swatches if one.hex == "#4a86c8")
    assert mended.take.hex_of(Role.PAPER) == BLUES.hex_of(Role.PAPER)


def test_on_a_held_ground_another_text_is_taken() -> None:
    """Deep is held and light, so that Paper can't be read on it but Ink can; Link gets its step."""
    mended = mend_all(on_swatch(BLUES, "#9cc3ea", Role.DEEP, Role.LINK))
    assert mended.impossible == ()
    assert ("Paper on Deep", "Ink") in [(one.name, one.after) for one in mended.texts]
    assert [one.name for one in mended.moved] == ["Link"]


def test_a_ground_on_a_step_keeps_its_side_when_its_swatch_moves() -> None:
    """Paper is a dark step of Warning, which has to become light."""
    places = {
        Role.PRIMARY: ("s1", None),
        Role.PAPER: ("s6", 7),
        Role.DEEP: ("s1", None),
        Role.INK: ("s1", None),
    }
    roles = tuple(
        replace(one, swatch=places[one.role][0], step=places[one.role][1]) if one.role in places else one
        for one in BLUES.roles
    )
    take = replace(BLUES, roles=roles)
    mended = mend_all(take)
    assert "Warning" in [one.name for one in mended.moved]
    assert luminance_of(take.hex_of(Role.PAPER)) < MIDDLE
    assert luminance_of(mended.take.hex_of(Role.PAPER)) < MIDDLE


@given(st.data())
@settings(max_examples=examples(12), deadline=None)
def test_no_plan_turns_a_ground_moves_what_is_held_or_costs_a_pair(data: st.DataObject) -> None:
    owners = [one.id for one in BLUES.swatches]
    steps = st.sampled_from([None, 3, 5, 7])
    roles = tuple(
        replace(one, swatch=data.draw(st.sampled_from(owners)), step=data.draw(steps))
        if data.draw(st.integers(0, 3)) == 0
        else one
        for one in BLUES.roles
    )
    take = replace(BLUES, roles=roles)
    mended = mend_all(take)
    for ground in GROUNDS:
        before, after = (luminance_of(one.hex_of(ground)) for one in (take, mended.take))
        assert (before >= MIDDLE) == (after >= MIDDLE)
    held = {one.id: one.hex for one in take.swatches if one.held}
    assert {one.id: one.hex for one in mended.take.swatches if one.id in held} == held
    for role in BRAND:
        if take.has_role(role) and is_held(take, role):
            assert mended.take.assignment(role) == take.assignment(role)
    passing = [sum(pair.short_by <= 0 for pair in evaluate(one).pairs) for one in (take, mended.take)]
    assert passing[1] >= passing[0]
    assert bool(mended.size) == bool(mended.moved or mended.texts)
    changed = {pair.id for pair in mended.take.pairs if pair not in take.pairs}
    assert changed <= {one.pair for one in mended.texts}


def test_the_size_of_a_plan_is_said_in_words() -> None:
    assert mend_all(TAKE).size == ""
    large = mend_all(on_swatch(BLUES, "#4a86c8", Role.INK)).size
    assert large == "Large: 1 colour, Ink the most, by 0.26. 3 more pairs pass."
