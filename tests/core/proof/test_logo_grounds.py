"""The logo on its grounds: what lies against them, where it is seen, and how it looks in one colour."""

from __future__ import annotations

import io
from dataclasses import replace

import numpy as np
import pytest
from PIL import Image

from tests.logos import logos
from tests.takes import TAKE
from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import difference_between
from tonada.core.proof.grounds import grounds_of
from tonada.core.proof.logo_grounds import LOGO_NEEDS, ground_for_logo, logo_on
from tonada.core.proof.own_material import OwnMaterial
from tonada.core.proof.pages import section_grounds
from tonada.core.source.pictures.logo_outline import in_one_color, outline_of, read_logo
from tonada.core.source.pictures.preview import render_preview
from tonada.core.take.take import Role, Take
from tonada.document.page_figures import LogoAnswer, PageFigures

NAVY, GOLD = "#102a5c", "#c9a227"
GROUNDS = {"paper": "#f9fafd", "mist": "#e2e7f4", "deep": "#131c4c", "primary": "#2b3a8c"}


def drawn(body: str) -> bytes:
    svg = f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 100">{body}</svg>'
    return render_preview(svg.encode())


BADGE = drawn(
    f'<circle cx="50" cy="50" r="40" fill="{NAVY}"/><path d="M30 40h40v8H30z" fill="#fff"/>'
    f'<rect x="110" y="40" width="80" height="20" fill="{NAVY}"/>'
    f'<circle cx="150" cy="80" r="8" fill="{GOLD}"/>'
)
WHITE = drawn('<path d="M20 20h60v60H20z" fill="#ffffff"/>')
OPAQUE = drawn(f'<path d="M0 0h200v100H0z" fill="#fff"/><circle cx="50" cy="50" r="40" fill="{NAVY}"/>')


def test_only_what_lies_against_the_ground_is_of_the_outline() -> None:
    found = {one.hex: one.share for one in outline_of(BADGE)}
    assert set(found) == {NAVY, GOLD}
    assert found[NAVY] > 5 * found[GOLD]
    assert sum(found.values()) == pytest.approx(1, abs=0.02)
    assert outline_of(OPAQUE) == ()


def test_of_a_picture_without_flat_colours_nothing_is_said() -> None:
    noise = np.random.default_rng(5).integers(0, 256, (400, 400, 4), dtype=np.uint8)
    noise[..., 3] = 255
    noise[:100] = 0
    picture = io.BytesIO()
    Image.fromarray(noise).save(picture, "PNG")
    assert outline_of(picture.getvalue()) == ()


def test_a_dark_logo_leaves_a_dark_header_and_a_white_one_a_light_one() -> None:
    badge, white = outline_of(BADGE), outline_of(WHITE)
    assert ground_for_logo(badge, GROUNDS, "deep") == "paper"
    assert ground_for_logo(badge, GROUNDS, "paper") == "paper"
    assert ground_for_logo(white, GROUNDS, "paper") == "deep"
    assert ground_for_logo(white, GROUNDS, "primary") == "primary"
    assert ground_for_logo((), GROUNDS, "deep") == "deep"


def test_each_colour_is_held_to_what_graphics_need() -> None:
    seen = logo_on(outline_of(BADGE), "paper", GROUNDS["paper"])
    for color in seen.colors:
        assert color.ratio == ratio_between(color.hex, GROUNDS["paper"])
        assert color.passes == (color.ratio >= LOGO_NEEDS)
    assert not seen.all_pass
    assert not seen.has_vanished
    assert logo_on(outline_of(WHITE), "paper", "#ffffff").has_vanished


def test_pages_stand_the_logo_where_it_is_seen_but_what_was_chosen_stays() -> None:
    logo = read_logo(BADGE)
    there = {ground.id: ground.hex for ground in grounds_of(TAKE)}
    for voice in ("hall", "restaurant"):
        plain = {(page, part): on for page, part, on in section_grounds(TAKE, there, voice)}
        marked = {(page, part): on for page, part, on in section_grounds(TAKE, there, voice, logo.outline)}
        assert plain["home", "head"] == Role.DEEP
        assert marked["home", "head"] == Role.PAPER
        assert {key for key in plain if plain[key] != marked[key]} <= {
            (page, part) for page, part in plain if part in ("head", "letter", "tile")
        }
    assert marked["board", "tile"] == Role.PAPER
    as_drawn = replace(TAKE, proof=replace(TAKE.proof, logo_in_one=False))
    assert ("board", "dark", Role.PAPER) in section_grounds(as_drawn, there, "hall", logo.outline)
    chosen = replace(TAKE, proof=replace(TAKE.proof, sections=(("home", "head", "deep"),)))
    assert ("home", "head", "deep") in section_grounds(chosen, there, "hall", logo.outline)


def logo_figures(take: Take, *, in_one: bool | None) -> LogoAnswer:
    asked = replace(take, proof=replace(take.proof, logo_in_one=in_one))
    figures = PageFigures.of(asked, None, OwnMaterial.read(BADGE, None))
    assert figures.logo is not None
    assert [one.ground for one in figures.logo.on] == [one.id for one in figures.grounds]
    assert figures.logo.mask == "" or figures.logo.mask.startswith("data:image/png;base64,")
    return figures.logo


def test_a_page_gets_the_shape_of_a_logo_where_nothing_else_helps_or_it_is_asked_for() -> None:
    night = TAKE.turned()
    assert not logo_figures(TAKE, in_one=None).is_in_one, "there is Paper"
    assert logo_figures(TAKE, in_one=None).mask, "the board has a dark half"
    assert logo_figures(night, in_one=None).is_in_one, "every ground is dark"
    assert logo_figures(TAKE, in_one=True).is_in_one
    assert not logo_figures(night, in_one=False).is_in_one
    assert not logo_figures(night, in_one=False).mask
    assert PageFigures.of(TAKE).logo is None


def test_in_one_colour_what_contrasts_inside_stays_cut_out() -> None:
    made = Image.open(io.BytesIO(in_one_color(BADGE, "#f9fafd"))).convert("RGBA")
    pixels = np.asarray(made)
    assert {tuple(color) for color in np.unique(pixels[pixels[..., 3] == 255][:, :3], axis=0)} == {
        (0xF9, 0xFA, 0xFD)
    }

    def alpha_at(x: float, y: float) -> int:
        # The picture has a transparent edge that the drawing has not.
        return int(pixels[int(y / 100 * made.height), int(x / 200 * made.width), 3])

    assert alpha_at(25, 55) == 255, "the badge"
    assert alpha_at(50, 44) < 30, "its letter"
    assert alpha_at(150, 50) == 255, "the word"
    assert alpha_at(100, 10) == 0, "nothing"


def test_of_drawn_logos_the_outline_is_a_colour_that_was_drawn() -> None:
    for logo in logos(12, seed=3):
        if logo.ground:
            continue
        for color in outline_of(render_preview(logo.svg().encode())):
            # Thin strokes have nothing but smoothed edges; what is wide is exact.
            nearest = min(difference_between(color.hex, f"#{part[:6]}") for part in logo.body.split("#")[1:])
            assert nearest < 0.03
