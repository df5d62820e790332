"""What changed: never silent about a difference, and never twice about one."""

from __future__ import annotations

import random
from collections.abc import Callable, Iterator
from dataclasses import fields, replace
from typing import Any

import pytest

from tests.sampling import examples
from tests.takes import TAKE, take_of
from tonada.core.color.ramp import RampSettings
from tonada.core.handoff.changes import ChangeLine, changes_between
from tonada.core.handoff.changes_text import changes_markdown, changes_text
from tonada.core.proof.grounds import set_use
from tonada.core.take.overlays import add_overlay
from tonada.core.take.parts import HarmonySettings, Neutral, Origin, SchemeRoles
from tonada.core.take.proof_settings import (
    ChosenSlot,
    Element,
    GroundSettings,
    OwnText,
    PictureTone,
    PictureView,
    PlacedPicture,
    ProofSettings,
    TextSize,
)
from tonada.core.take.recolor import change_pair_text, recolor
from tonada.core.take.take import Role, Take

Edit = Callable[[Take], Take]


def swatch_with(**changes: Any) -> Edit:
    return lambda take: replace(take, swatches=(replace(take.swatches[0], **changes), *take.swatches[1:]))


def role_with(**changes: Any) -> Edit:
    return lambda take: replace(take, roles=(replace(take.roles[0], **changes), *take.roles[1:]))


def pair_with(**changes: Any) -> Edit:
    return lambda take: replace(take, pairs=(replace(take.pairs[0], **changes), *take.pairs[1:]))


def proof_with(**changes: Any) -> Edit:
    return lambda take: replace(take, proof=replace(take.proof, **changes))


def without_role(role: str) -> Edit:
    def edit(take: Take) -> Take:
        pairs = tuple(pair for pair in take.pairs if role not in (pair.text, pair.ground))
        roles = tuple(assigned for assigned in take.roles if assigned.role != role)
        return replace(take, roles=roles, pairs=pairs)

    return edit


def harmony_with(**changes: Any) -> Edit:
    return lambda take: replace(take, harmony=replace(take.harmony, **changes))


def neutral_with(**changes: Any) -> Edit:
    return lambda take: replace(take, neutrals=(replace(take.neutrals[0], **changes), *take.neutrals[1:]))


# Every field of a document, changed alone, with a word of what is to be said.
EDITS: dict[str, tuple[Edit, str]] = {
    "swatch hex": (lambda take: recolor(take, "s1", "#7a3f20", "by hand"), "--primary"),
    "swatch name": (swatch_with(name="Dusk"), "Dusk"),
    "swatch held": (swatch_with(held=False), "free"),
    "swatch origin": (swatch_with(origin=Origin("made", "by a friend")), "by a friend"),
    "swatch ramp": (swatch_with(ramp=RampSettings("steady", tints=9)), "(9, 10)"),
    "swatches turned round": (lambda take: replace(take, swatches=take.swatches[::-1]), "Order of swatches"),
    "role step": (role_with(step=2), "--primary"),
    "role reason": (role_with(reason="since it is so"), "since it is so"),
    "role share": (role_with(share=0.3), "0.3"),
    "role name": (role_with(name="Lead"), "Lead"),
    "role text": (role_with(text_step=9), "--primary-as-text"),
    "a role less": (without_role("muted"), "gone"),
    "pair usage": (pair_with(sample="Other words"), "Other words"),
    "pair size": (pair_with(size=31.0), "31px"),
    "a pair less": (lambda take: replace(take, pairs=take.pairs[:-1]), "gone"),
    "pair text": (lambda take: change_pair_text(take, "label-on-accent", Role.PAPER), "Paper"),
    "level": (lambda take: replace(take, level="AAA"), "AAA"),
    "step names": (lambda take: replace(take, step_names="numbers"), "numbers"),
    "scheme in front": (Take.turned, "night"),
    "no night": (lambda take: replace(take, other=None), "none"),
    "a night's role": (
        lambda take: without_role("muted")(take.turned()).turned(), "by night",
    ),
    "a section's ground": (
        lambda take: replace(take, grounds=(GroundSettings("mist", ground="accent"),)), "Accent",
    ),
    "an own ground": (
        lambda take: replace(take, grounds=(GroundSettings("own", "Band", "s1/3"),)), "--text-on-band",
    ),
    "a text by hand": (lambda take: set_use(take, "mist", Element.LINK, "line"), "--link-on-mist"),
    "a signal by hand": (lambda take: set_use(take, "mist", Element.ERROR, "ink"), "Error on Mist"),
    "an overlay": (add_overlay, "--overlay-1"),
    "neutral strength": (neutral_with(strength=0.9), "0.9"),
    "neutral name": (neutral_with(name="Greys"), "Greys"),
    "neutral spacing": (neutral_with(spacing="contrast"), "contrast"),
    "another neutral": (lambda take: replace(take, neutrals=(*take.neutrals, Neutral("n9", "Cool"))), "Cool"),
    "heading face": (proof_with(heading_face="Lora"), "Lora"),
    "text face": (proof_with(text_face="Karla"), "Karla"),
    "a size": (proof_with(sizes=(("h1", TextSize(61.0, 700)),)), "61px"),
    "a narrow size": (proof_with(narrow_sizes=(("phone", "h1", 33.0),)), "33px"),
    "logo": (proof_with(logo="another"), "another"),
    "picture": (proof_with(picture="another"), "another"),
    "picture place": (proof_with(picture_place="beside"), "beside"),
    "picture view": (proof_with(picture_view=PictureView(0.2, 0.7, 1.5)), "20% from the left"),
    "picture tone": (proof_with(picture_tone=PictureTone("duotone", "ink", "paper")), "in Ink and Paper"),
    "picture tint": (proof_with(picture_tone=PictureTone("tinted", tint="accent")), "40% of Accent"),
    "placed picture": (proof_with(pictures=(PlacedPicture("home", "Offer", "a-source"),)), "a-source"),
    "sections": (proof_with(sections=(("home", "offers", "mist"),)), "offers"),
    "voice": (proof_with(voice="craft"), "craft"),
    "own text": (proof_with(texts=(OwnText("home", "Opening’s heading", "Look up"),)), "Look up"),
    "language": (proof_with(language="de"), "de"),
    "logo in one": (proof_with(logo_in_one=True), "Logo in one colour"),
    "bare picture": (proof_with(bare_picture=True), "Picture without an overlay"),
    "slots": (lambda take: replace(take, slots=(ChosenSlot("five-slots", "Background", "mist"),)), "Mist"),
    "anchor": (harmony_with(anchor="s2"), "Anchor"),
    "rule": (harmony_with(rule="complementary"), "complementary"),
    "circle": (harmony_with(circle="mixing"), "mixing"),
    "spread": (harmony_with(spread=40.0), "40"),
    "angles": (harmony_with(angles=(10.0, 20.0)), "10"),
    "character": (harmony_with(character="calm"), "calm"),
    "lightness": (harmony_with(lightness=0.5), "0.5"),
    "chroma": (harmony_with(chroma=0.11), "0.11"),
    "span": (harmony_with(span=0.3), "0.3"),
    "web-safe": (harmony_with(web_safe=True), "Web-safe"),
    "seed": (harmony_with(seed=5), "Variation"),
    "shaped from": (harmony_with(shaped_from=(("s1", "#111111"),)), "#111111"),
    "varied from": (harmony_with(varied_from=(("s1", "#222222"),)), "#222222"),
    "the stave's ground": (harmony_with(ground="s2"), "Ground of the stave"),
}  # fmt: skip


@pytest.mark.parametrize("name", EDITS)
def test_a_change_of_each_field_is_told_in_its_own_words(name: str) -> None:
    edit, word = EDITS[name]
    after = edit(TAKE)
    assert after != TAKE
    text = changes_text(changes_between(TAKE, after))
    assert word in text, text
    assert "not shown" not in text
    assert_said_once(changes_between(TAKE, after))
    # Backwards, too.
    back = changes_text(changes_between(after, TAKE))
    assert "Nothing" not in back
    assert "not shown" not in back


def test_every_field_that_a_document_has_is_among_them() -> None:
    """A field that is added to a take has to be told of; this is where that shows."""
    assert {field.name for field in fields(ProofSettings)} == {
        "heading_face", "text_face", "sizes", "logo", "picture", "overlay", "sections", "narrow_sizes",
        "picture_place", "picture_view", "picture_tone", "pictures", "voice", "texts", "language",
        "logo_in_one", "bare_picture",
    }  # fmt: skip
    assert len(fields(HarmonySettings)) == 14
    assert [field.name for field in fields(SchemeRoles)] == ["roles", "pairs", "grounds"]


def edited(draw: random.Random, take: Take) -> Iterator[Take]:
    """Yield a take after each of some edits, drawn, that leave it whole."""
    for name in draw.sample(sorted(EDITS), 6):
        try:
            take = EDITS[name][0](take)
        except Exception:  # noqa: S112  # an edit that another one made impossible
            continue
        yield take


def test_any_two_documents_that_differ_say_so_once() -> None:
    draw = random.Random(11)  # noqa: S311  (a seed, no secret)
    compared = 0
    for row in range(examples(120)):
        take = take_of(*(f"#{draw.randrange(1 << 24):06x}" for _ in range(1 + row % 4)))
        states = [take, *edited(draw, take)]
        before, after = draw.choice(states), draw.choice(states)
        lines = changes_between(before, after)
        assert bool(lines) == (before != after)
        assert_said_once(lines)
        compared += before != after
    assert compared > examples(120) // 3


def assert_said_once(lines: tuple[ChangeLine, ...]) -> None:
    said = [(line.section, line.label, line.token, line.scheme, line.before, line.after) for line in lines]
    assert len(set(said)) == len(said), [one for one in said if said.count(one) > 1]


def test_nothing_is_said_of_what_is_the_same() -> None:
    assert changes_between(TAKE, TAKE) == ()
    assert changes_text(()) == "Nothing changed.\n"


def test_a_colour_is_told_by_the_names_that_have_it() -> None:
    lines = changes_between(TAKE, recolor(TAKE, "s3", "#8fd0c4", "by hand"))
    values = {(line.token, line.scheme): line for line in lines if line.section == "Values in the files"}
    accent = values["--accent", "day and night"]
    assert (accent.hex_before, accent.hex_after) == ("#d7b13c", "#8fd0c4")
    # What refers to it is not told again.
    assert not any(token == "--button-on-primary" for token, _ in values)
    assert not any(line.label == "Gold" and line.section == "Roles" for line in lines)


def test_markdown_is_a_table_that_names_cannot_break() -> None:
    swatch = replace(TAKE.swatches[0], name="a|b`<script>")
    lines = changes_between(TAKE, replace(TAKE, swatches=(swatch, *TAKE.swatches[1:])))
    text = changes_markdown(lines, "Version 2, since *version* 1")
    assert "# Version 2, since \\*version\\* 1" in text
    assert "| Colour | Indigo | a\\|b\\`\\<script\\> |" in text
