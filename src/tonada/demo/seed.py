"""Puts the demo brands into a workspace that has no brands yet."""

from __future__ import annotations

import os
from dataclasses import replace
from importlib.resources import files
from uuid import UUID

from tonada.core.color.naming import color_name
from tonada.core.roles.build import build_take
from tonada.core.roles.candidates import SourceColor, candidates_of, leaves_out
from tonada.core.roles.proposal import propose_roles
from tonada.core.source.pictures import Extraction, extract_colors, render_preview
from tonada.core.take.proof_settings import ProofSettings
from tonada.core.take.take import Assignment, Origin, Pair, Role, Swatch, Take
from tonada.demo import pictures, reviews
from tonada.document.take import TakeDocument
from tonada.intake.results import image_to_json, mood_to_json
from tonada.intake.taking_in import Upload, take_in
from tonada.store import brands, sources, takes, workspaces
from tonada.store.database import Connection, connect

LOGO_NAMES = {"#2b3a8c": "Night indigo", "#b6653a": "Copper dome", "#d7b13c": "Comet", "#ffffff": "Snow"}
# What a studio might have set by eye, before anybody measured: some of its pairs fall short.
BY_EYE = {Role.PAPER: "#faf9f7", Role.MIST: "#e4e5ef", Role.INK: "#1b1d2e", Role.MUTED: "#747892"}
SAMPLES = {
    "ink-on-paper": "Bring a warm coat",
    "ink-on-mist": "The dome opens at nine",
    "primary-on-paper": "Night opens at nine",
    "primary-on-mist": "Saturn rises late",
    "label-on-primary": "Book a dome seat",
    "label-on-secondary": "Join a star night",
    "label-on-accent": "See tonight’s sky",
    "headline-on-primary": "The copper dome",
    "muted-on-paper": "Weather permitting",
    "muted-on-mist": "Clouds cancel free of charge",
    "link-on-paper": "read the sky report",
    "link-on-mist": "all star nights this month",
    "line-on-paper": "Your name",
    "line-on-mist": "How many seats",
    "label-on-deep": "Write to the dome keeper",
    "success-on-paper": "Your seat is booked",
    "warning-on-paper": "Three seats left",
    "error-on-paper": "Clouded over tonight",
    "info-on-paper": "New: Sunday matinée",
}


def seed_demo(connection: Connection) -> bool:
    """Make the demo brands in one transaction; return False where there are brands already."""
    workspace = workspaces.find_or_create(connection, workspaces.NAME)
    if brands.list_all(connection, workspace):
        return False
    # The list begins with what was changed last.
    _seed_juniper(connection, workspace)
    _seed_saltmarsh(connection, workspace)
    _seed_orrin_peak(connection, workspace)
    return True


def _seed_orrin_peak(connection: Connection, workspace: UUID) -> None:
    brand = brands.create(connection, workspace, "Orrin Peak Observatory").id
    source, extraction = _keep(connection, workspace, brand, "peak-logo.svg", demo_file("peak-logo.svg"))
    dusk, colors = _keep(connection, workspace, brand, "dusk-ridge.jpg", pictures.dusk_ridge())
    _keep_text(connection, workspace, brand, "old-site.css")
    proposed = _sampled(_build(extraction, source, "peak-logo.svg"))
    at_dusk = _sampled(_build(colors, dusk, "dusk-ridge.jpg"))
    proof = ProofSettings(logo=str(source))
    made = []
    for take in (proposed, _set_by_eye(proposed), at_dusk):
        document = TakeDocument.of(replace(take, proof=proof)).model_dump(mode="json")
        made.append(takes.create(connection, workspace, brand, document).id)
    reviews.seed_observatory(connection, workspace, brand, (made[0], made[2]))


def _seed_saltmarsh(connection: Connection, workspace: UUID) -> None:
    brand = brands.create(connection, workspace, "Saltmarsh Kayak School").id
    logo = pictures.saltmarsh_logo(demo_file("saltmarsh-logo.svg"))
    source, extraction = _keep(connection, workspace, brand, "saltmarsh-logo.png", logo)
    _keep(connection, workspace, brand, "old-page.png", pictures.old_page())
    take = replace(_build(extraction, source, "saltmarsh-logo.png"), proof=ProofSettings(logo=str(source)))
    made = takes.create(connection, workspace, brand, TakeDocument.of(take).model_dump(mode="json"))
    reviews.seed_saltmarsh(connection, workspace, brand, made.id)


def _seed_juniper(connection: Connection, workspace: UUID) -> None:
    """A weaving mill without a logo: it starts from a mood."""
    brand = brands.create(connection, workspace, "Juniper & Loom").id
    words, field = ("natural", "traditional"), "craft"
    sources.create(
        connection,
        workspace,
        brand,
        name="Natural, traditional",
        kind="mood",
        settings={"words": words, "field": field},
        extraction=mood_to_json(words, field),
    )
    takes.create(connection, workspace, brand, TakeDocument().model_dump(mode="json"))


def demo_file(name: str) -> bytes:
    """Return a file that ships with the demo data."""
    return (files("tonada.demo") / "files" / name).read_bytes()


def _keep(
    connection: Connection, workspace: UUID, brand: UUID, name: str, content: bytes
) -> tuple[UUID, Extraction]:
    extraction = extract_colors(content)
    row = sources.create(
        connection,
        workspace,
        brand,
        name=name,
        kind="image",
        extraction=image_to_json(extraction, LOGO_NAMES),
        files=(sources.FileContent(name, content, render_preview(content)),),
    )
    return row.id, extraction


def _keep_text(connection: Connection, workspace: UUID, brand: UUID, name: str) -> None:
    intake = take_in((Upload(name, demo_file(name)),))
    sources.create(
        connection,
        workspace,
        brand,
        name=name,
        kind=intake.kind,
        extraction=intake.extraction,
        files=(sources.FileContent(name, demo_file(name), intake.preview),),
    )


def _build(extraction: Extraction, source: UUID, name: str) -> Take:
    colors = [SourceColor(color.hex, color.share, color.ground_share) for color in extraction.colors]
    ground = leaves_out(extraction.ground)
    candidates = candidates_of("image", colors, leave_out_ground=ground).candidates
    take = build_take(candidates, propose_roles(candidates), source=str(source), source_name=name)
    return replace(take, swatches=tuple(_named(swatch) for swatch in take.swatches))


def _named(swatch: Swatch) -> Swatch:
    return replace(swatch, name=LOGO_NAMES.get(swatch.hex, swatch.name))


def _sampled(take: Take) -> Take:
    other = take.other and replace(take.other, pairs=_with_samples(take.other.pairs))
    return replace(take, pairs=_with_samples(take.pairs), other=other)


def _with_samples(pairs: tuple[Pair, ...]) -> tuple[Pair, ...]:
    return tuple(replace(pair, sample=SAMPLES.get(pair.id, pair.sample)) for pair in pairs)


def _set_by_eye(take: Take) -> Take:
    """Return the take with grounds and text set by eye, links in copper, and white on yellow."""
    origin = Origin("typed", "typed by hand")
    typed = {role: f"s{len(take.swatches) + place}" for place, role in enumerate(BY_EYE, start=1)}
    swatches = tuple(
        Swatch(typed[role], color_name(value), value, False, origin) for role, value in BY_EYE.items()
    )
    copper = take.assignment(Role.SECONDARY).swatch
    chosen = {**typed, Role.LINK: copper}
    roles = tuple(
        Assignment(assigned.role, chosen[Role(assigned.role)], "Chosen by you.")
        if assigned.role in chosen
        else assigned
        for assigned in take.roles
    )
    pairs = tuple(_by_eye(pair) for pair in take.pairs)
    return replace(take, swatches=(*take.swatches, *swatches), roles=roles, pairs=pairs)


def _by_eye(pair: Pair) -> Pair:
    return replace(pair, text=Role.PAPER) if pair.id == "label-on-accent" else pair


if __name__ == "__main__":
    with connect(os.environ["DATABASE_URL"]) as own:
        seed_demo(own)
