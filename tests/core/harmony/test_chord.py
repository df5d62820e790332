"""A take as a chord: rules, characters, moves by hand, variations, advice, comparison, the stave."""

from __future__ import annotations

import io
from dataclasses import replace

import numpy as np
import pytest
from PIL import Image

from tonada.core.color.circles import CIRCLES, Circle, angle_between
from tonada.core.color.hue_rules import rule_angles
from tonada.core.color.spaces import (
    hex_to_srgb8,
    hexes_to_srgb8,
    hue_distance,
    srgb8_to_oklch,
)
from tonada.core.errors import InputError, TakeError
from tonada.core.handoff.compare import compare
from tonada.core.harmony.advice import advise
from tonada.core.harmony.character import CHARACTERS
from tonada.core.harmony.chord import Place, add_partner, move_flag, open_angles, place, play, shape
from tonada.core.harmony.stave import FIELD_COLUMNS, FIELD_ROWS, possible_colors, stave_of
from tonada.core.pairs.evaluation import evaluate
from tonada.core.pairs.variations import vary
from tonada.core.roles.brand import Candidate
from tonada.core.roles.build import build_take
from tonada.core.roles.proposal import propose_roles
from tonada.core.sight.vision import MATRICES, simulate
from tonada.core.take.take import Origin, Role, Swatch, Take


def built(*values: str, held: bool = False, **settings: object) -> Take:
    weights = [0.5**number for number in range(len(values))]
    colors = tuple(Candidate(v, w / sum(weights)) for v, w in zip(values, weights, strict=True))
    take = build_take(colors, propose_roles(colors), source=None, source_name="a list")
    swatches = tuple(replace(one, held=held and one.held) for one in take.swatches)
    return replace(take, swatches=swatches, harmony=replace(take.harmony, **settings))


def orrin(*held: Role, **settings: object) -> Take:
    take = built("#2b3a8c", "#b6653a", "#d7b13c", **settings)
    ids = {take.swatch_of(role).id for role in held}
    swatches = tuple(replace(one, held=one.id in ids) for one in take.swatches)
    return replace(take, swatches=swatches)


def hue_of(take: Take, role: Role) -> float:
    return float(srgb8_to_oklch(hex_to_srgb8(take.swatch_of(role).hex))[2])


def angle_of(take: Take, role: Role) -> float:
    return (hue_of(take, role) - hue_of(take, Role.PRIMARY)) % 360


@pytest.mark.parametrize(
    ("rule", "spread", "angles"),
    [
        ("split complementary", None, (150, 210)),
        ("analogous", 40, (40, 320)),
        ("triadic", None, (120, 240)),
        ("monochromatic", None, (0, 0)),
        ("complementary", None, (180, 180)),
    ],
)
def test_free_players_take_their_places(rule: str, spread: float | None, angles: tuple[int, ...]) -> None:
    played = play(orrin(Role.PRIMARY, rule=rule, spread=spread))
    found = sorted(angle_of(played, role) for role in (Role.SECONDARY, Role.ACCENT))
    for one, other in zip(found, sorted(angles), strict=True):
        assert float(hue_distance(one, other)) <= 2.5


@pytest.mark.parametrize(
    ("rule", "index", "angle", "angles"),
    [
        pytest.param("split complementary", 0, 140, (140, 220), id="the other partner follows"),
        pytest.param("split complementary", 1, -128.4, (128, 232), id="counted from its own side"),
        pytest.param("split complementary", 0, 90, (110, 250), id="no nearer than the rule allows"),
        pytest.param("analogous", 0, 50, (310, 50), id="over the anchor to the other side"),
        pytest.param("tetradic", 2, 270, (90, 180, 270), id="counted from the opposite"),
        pytest.param("tetradic", 1, 120, (60, 180, 240), id="the opposite stays"),
        pytest.param("complementary", 0, 90, (180,), id="a rule without a spread"),
    ],
)
def test_a_flag_goes_where_its_rule_allows(
    rule: str, index: int, angle: float, angles: tuple[float, ...]
) -> None:
    moved = move_flag(orrin(Role.PRIMARY, rule=rule), index, angle)
    assert rule_angles(rule, moved.harmony.spread) == angles
    with pytest.raises(InputError):
        move_flag(moved, len(angles), angle)


def test_a_flag_of_free_angles_moves_alone() -> None:
    take = orrin(Role.PRIMARY, rule="free", angles=(100.0, 200.0))
    assert move_flag(take, 1, -30).harmony.angles == (100.0, 330.0)
    with pytest.raises(InputError):
        move_flag(take, 2, 0)


def test_held_swatches_never_move_and_keep_their_seat() -> None:
    take = orrin(Role.PRIMARY, Role.ACCENT, rule="split complementary")
    for changed in (
        play(take),
        play(take, turn=40),
        shape(replace(take, harmony=replace(take.harmony, character="deep"))),
    ):
        for swatch in take.swatches:
            if swatch.held:
                assert changed.swatch(swatch.id) == swatch


def test_turning_a_free_anchor_turns_the_chord_and_what_was_made_from_it() -> None:
    take = orrin(rule="triadic")
    before = play(take)
    turned = play(before, turn=60)
    assert float(hue_distance(hue_of(turned, Role.PRIMARY), hue_of(take, Role.PRIMARY) + 60)) <= 2
    assert angle_of(turned, Role.ACCENT) == pytest.approx(angle_of(before, Role.ACCENT), abs=4)
    verdicts = [
        {pair.id: pair.outcome for pair in evaluate(one).pairs if pair.text in (Role.INK, Role.MUTED)}
        for one in (before, turned)
    ]
    assert verdicts[0] == verdicts[1]


@pytest.mark.parametrize("name", [one.name for one in CHARACTERS.values() if not one.to_cusp])
def test_a_character_sets_lightness_and_chroma_of_what_is_free(name: str) -> None:
    shaped = shape(orrin(character=name))
    targets = CHARACTERS[name]
    roles = (Role.PRIMARY, Role.SECONDARY, Role.ACCENT)
    places = srgb8_to_oklch(hexes_to_srgb8(tuple(shaped.swatch_of(role).hex for role in roles)))
    assert places[:, 0].mean() == pytest.approx(targets.lightness, abs=0.03)
    assert np.ptp(places[:, 0]) == pytest.approx(targets.span, abs=0.03)


def test_changed_targets_go_before_the_character_s_own() -> None:
    shaped = shape(orrin(character="deep", span=0.0))
    roles = (Role.PRIMARY, Role.SECONDARY, Role.ACCENT)
    places = srgb8_to_oklch(hexes_to_srgb8(tuple(shaped.swatch_of(role).hex for role in roles)))
    assert np.ptp(places[:, 0]) < 0.02
    with pytest.raises(InputError):
        shape(orrin(character="blurple"))


def test_the_designer_s_own_hand_moves_held_ones_too_and_names_follow() -> None:
    take = orrin(Role.PRIMARY)
    primary = take.swatch_of(Role.PRIMARY)
    moved = place(take, Place(primary.id, 0.1, 150, lightness=0.6)).swatch(primary.id)
    assert moved.held
    assert moved.origin.kind == "moved"
    assert "green" in moved.name.lower()
    named = replace(
        take, swatches=tuple(replace(one, name="Night") if one is primary else one for one in take.swatches)
    )
    assert place(named, Place(primary.id, 0.1, 150, lightness=0.6)).swatch(primary.id).name == "Night"
    with pytest.raises(TakeError):
        place(take, Place("nobody", 0.1, 150))


def test_the_web_safe_limit_holds_for_everything_new() -> None:
    take = orrin(rule="triadic", web_safe=True)
    changed = [
        play(take),
        place(take, Place("s1", 0.1, 10, position=0.4)),
        add_partner(take, 120),
        vary(take, 3).take,
    ]
    for one in changed:
        for swatch in one.swatches:
            if swatch not in take.swatches:
                assert all(int(swatch.hex[n : n + 2], 16) % 51 == 0 for n in (1, 3, 5))


def test_an_open_place_takes_a_new_partner() -> None:
    take = orrin(Role.PRIMARY, Role.SECONDARY, Role.ACCENT, rule="tetradic")
    open_ones = [angle for angle, swatch in open_angles(take) if swatch is None]
    joined = add_partner(take, open_ones[0])
    assert len(joined.swatches) == len(take.swatches) + 1
    assert dict(open_angles(joined))[open_ones[0]] == joined.swatches[-1].id
    assert not joined.swatches[-1].held


def chorus(*values: str, held: tuple[int, ...] = ()) -> Take:
    origin = Origin("typed", "typed by hand")
    return Take(
        tuple(Swatch(f"s{n}", f"Swatch {n}", value, n in held, origin) for n, value in enumerate(values))
    )


@pytest.mark.parametrize(
    ("values", "kind"),
    [
        pytest.param(("#c03030", "#2f8f3f", "#2b3a8c", "#d7b13c"), "many hues", id="four hues"),
        pytest.param(("#2b3a8c", "#2f4094"), "close", id="near twins"),
        pytest.param(("#c8372d", "#008f8c"), "vibrates", id="opposites of one lightness"),
        pytest.param(("#a64b2a", "#5c6b1e"), "confused", id="red and olive"),
    ],
)
def test_advice_has_a_reason_and_a_way_that_helps(values: tuple[str, ...], kind: str) -> None:
    take = chorus(*values)
    said = [one for one in advise(take) if one.kind == kind]
    assert said, [one.kind for one in advise(take)]
    one = said[0]
    assert one.text.endswith(".")
    assert one.act
    assert one.target
    assert one.value
    swatches = tuple(replace(s, hex=one.value) if s.id == one.target else s for s in take.swatches)
    after = advise(replace(take, swatches=swatches))
    assert one.text not in [other.text for other in after]


def test_neutrals_do_not_count_and_held_ones_are_not_moved() -> None:
    assert advise(chorus("#2b3a8c", "#808080", "#ffffff", "#000000")) == ()
    held = advise(chorus("#2b3a8c", "#2f4094", held=(0, 1)))
    assert held[0].act is None
    assert "held" in held[0].text


def test_an_accent_that_does_not_call_is_told() -> None:
    take = orrin()
    accent = take.swatch_of(Role.ACCENT).id
    dull = replace(
        take, swatches=tuple(replace(s, hex="#8a8276") if s.id == accent else s for s in take.swatches)
    )
    said = next(one for one in advise(dull) if one.kind == "quiet accent")
    assert said.target == accent


def test_the_stave_has_its_lines_at_the_ratios_from_the_ground() -> None:
    take = orrin()
    stave = stave_of(take)
    assert (stave.ground, stave.ground_name) == (None, "Paper")
    assert [line.ratio for line in stave.lines] == [3, 4.5, 7]
    for swatch in evaluate(take).swatches:
        for line in stave.lines:
            assert (swatch.position <= line.position) == (swatch.on_ground >= line.ratio)
    in_the_middle = replace(take, harmony=replace(take.harmony, ground=take.swatch_of(Role.SECONDARY).id))
    assert {line.ratio for line in stave_of(in_the_middle).lines} == {3, 4.5}
    assert len(stave_of(in_the_middle).lines) == 3
    assert stave_of(Take()).anchor is None


def test_the_field_shows_only_what_srgb_has() -> None:
    picture = np.asarray(Image.open(io.BytesIO(possible_colors(0.12))))
    assert picture.shape == (FIELD_ROWS, FIELD_COLUMNS, 4)
    shown = picture[..., 3] == 255
    chroma = srgb8_to_oklch(picture[shown][:, :3])[:, 1]
    assert np.abs(chroma - 0.12).max() < 0.01
    assert 0.2 < shown.mean() < 0.8
    # Its edges are smooth: beside what is whole stands what is there in part, of the same colour.
    partly = (picture[..., 3] > 0) & ~shown
    assert 0.005 < partly.mean() < 0.1
    assert np.abs(srgb8_to_oklch(picture[partly][:, :3])[:, 1] - 0.12).max() < 0.02
    assert (np.asarray(Image.open(io.BytesIO(possible_colors(0.0))))[..., 3] == 255).all()


def test_what_changed_is_told_color_by_color_and_pair_by_pair() -> None:
    take = orrin()
    assert compare(take, take).swatches == compare(take, take).pairs == ()
    moved = place(take, Place(take.assignment(Role.SECONDARY).swatch, 0.02, 280, lightness=0.6))
    added = add_partner(moved, 90)
    found = compare(take, added)
    assert [one.change for one in found.swatches] == ["changed", "added"]
    assert found.swatches[0].difference
    assert [one.role for one in found.roles] == [Role.SECONDARY]
    assert {one.id for one in found.pairs} == {"label-on-secondary"}
    assert [one.change for one in compare(added, take).swatches] == ["changed", "removed"]


def test_simulated_sight_keeps_greys_and_what_machado_publishes() -> None:
    greys = np.array([[0, 0, 0], [128, 128, 128], [255, 255, 255]], dtype=np.uint8)
    for sight, matrix in MATRICES.items():
        # 1e-5: the published matrices have six decimals.
        assert matrix.sum(axis=1) == pytest.approx(1, abs=1e-5)
        seen = simulate(greys, sight)
        assert np.ptp(seen, axis=1).max() < 1e-5
    red, green = simulate(np.array([[200, 60, 40], [104, 110, 30]], dtype=np.uint8), "deutan")
    assert np.abs(red - green).max() < 0.2


@pytest.mark.parametrize("circle", CIRCLES)
def test_a_chord_turns_on_the_circle_of_the_take(circle: Circle) -> None:
    take = play(orrin(Role.PRIMARY, rule="complementary", circle=circle))
    anchor, accent = hue_of(take, Role.PRIMARY), hue_of(take, Role.ACCENT)
    assert angle_between(anchor, accent, circle) == pytest.approx(180, abs=4)
    (flag,) = stave_of(take).flags
    assert flag.angle == 180
    assert float(hue_distance(flag.hue, accent)) < 4
    assert flag.turn == pytest.approx((flag.hue - anchor) % 360)
    joined = add_partner(take, 90)
    made = float(srgb8_to_oklch(hex_to_srgb8(joined.swatches[-1].hex))[2])
    assert angle_between(anchor, made, circle) == pytest.approx(90, abs=4)


def test_a_flag_that_is_dragged_on_the_stave_counts_on_its_circle() -> None:
    take = orrin(Role.PRIMARY, rule="free", angles=(120.0,), circle="painter")
    moved = move_flag(take, 0, 150.0, on_stave=True)
    anchor = hue_of(take, Role.PRIMARY)
    assert moved.harmony.angles[0] == pytest.approx(angle_between(anchor, anchor + 150, "painter"))
    (flag,) = stave_of(moved).flags
    assert flag.turn == pytest.approx(150, abs=1e-6)


def test_the_opposite_is_the_accent_s_unless_it_is_held() -> None:
    take = built("#2b3a8c", "#d7b13c", "#b6653a", rule="complementary")
    for accent_held in (False, True):
        accent = take.assignment(Role.ACCENT).swatch
        swatches = tuple(replace(one, held=accent_held and one.id == accent) for one in take.swatches)
        placed = replace(take, swatches=swatches)
        turned = place(placed, Place(accent, 0.14, hue_of(take, Role.PRIMARY) + 100, lightness=0.7))
        played = play(turned)
        assert (abs(angle_of(played, Role.ACCENT) - 180) < 3) is not accent_held
