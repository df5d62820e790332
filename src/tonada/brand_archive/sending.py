"""A brand of the store as an archive."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from tonada.brand_archive.contents import BrandArchive
from tonada.brand_archive.packing import Packed
from tonada.store import archives, brands
from tonada.store.database import Connection
from tonada.store.reviews import frozen, links


def archive_of(connection: Connection, workspace: UUID, brand_id: UUID) -> Packed:
    """Return a brand with the files of its sources. Raises NotFound or Removed.

    Sources that were removed, and readings that are still under way, stay.
    """
    brand = brands.find(connection, workspace, brand_id)
    files: dict[str, bytes] = {}
    listed = []
    for source in archives.rows(connection, archives.SOURCES, workspace=workspace, brand=brand_id):
        kept = archives.files_of(connection, workspace, source["id"])
        files |= {file.digest: file.content for file in kept}
        named = [{"name": file.name, "digest": file.digest} for file in kept]
        listed.append({**source, "id": str(source["id"]), "files": named})
    faces = archives.font_files_of(connection, workspace, brand_id)
    files |= {face.digest: face.content for face in faces}
    whole = {
        "name": brand.name,
        "sources": listed,
        "fonts": [{"name": face.name, "digest": face.digest} for face in faces],
        "takes": [
            _take(connection, workspace, row)
            for row in archives.rows(connection, archives.TAKES, workspace=workspace, brand=brand_id)
        ],
        "reviews": [
            _review(connection, workspace, row)
            for row in archives.rows(connection, archives.REVIEWS, workspace=workspace, brand=brand_id)
        ],
    }
    return Packed(BrandArchive.model_validate(whole), files)


def _take(connection: Connection, workspace: UUID, row: dict[str, Any]) -> dict[str, Any]:
    key = {"workspace": workspace, "take": row["id"]}
    return {
        **row,
        "id": str(row["id"]),
        "versions": archives.rows(connection, archives.VERSIONS, **key),
        "handoffs": archives.rows(connection, archives.HANDOFFS, **key),
    }


def _review(connection: Connection, workspace: UUID, row: dict[str, Any]) -> dict[str, Any]:
    key = {"workspace": workspace, "review": row["id"]}
    content = row["content"]
    readers = links.of_review(connection, workspace, row["id"])
    places = {link.id: place for place, link in enumerate(readers)}
    remarks = archives.rows(connection, archives.REMARKS, **key)
    remark_places = {remark.pop("id"): place for place, remark in enumerate(remarks)}
    shown = frozen.versions_of(connection, workspace, row["id"])
    return {
        **{name: row[name] for name in _OF_REVIEW},
        "brand": content["brand"],
        "studio": content["studio"],
        "voice": _guessed_voice(content["takes"]),
        "pages": [page["id"] for page in content["pages"]],
        "widths": content["widths"],
        "takes": [
            {
                "name": take["name"],
                "take": str(version.take),
                "version": version.number,
                "digest": version.digest.hex(),
            }
            for take, version in zip(content["takes"], shown, strict=True)
        ],
        "readers": [{name: getattr(link, name) for name in _OF_READER} for link in readers],
        "remarks": [
            {**_said_by(remark, places), "answers": remark_places.get(remark["answers"])}
            for remark in remarks
        ],
        "events": [_said_by(event, places) for event in archives.rows(connection, archives.EVENTS, **key)],
        "approvals": [
            _said_by(approval, places) for approval in archives.rows(connection, archives.APPROVALS, **key)
        ],
    }


def _guessed_voice(shown: list[dict[str, Any]]) -> str | None:
    """Return the voice of the takes that had none of their own; None where each had one."""
    drawn = (take["drawn"]["day"] for take in shown if "day" in take["drawn"])
    return next((one["figures"]["voice"] for one in drawn if one["settings"].get("voice") is None), None)


_OF_REVIEW = ("greeting", "may_comment", "may_choose", "may_approve", "created_at", "withdrawn_at")
_OF_READER = ("name", "created_at", "first_opened_at", "last_opened_at", "opened")


def _said_by(row: dict[str, Any], places: dict[UUID, int]) -> dict[str, Any]:
    """Return a row with the place of its reader instead of the link."""
    link = row["link_id"]
    named = {name: value for name, value in row.items() if name != "link_id"}
    return {**named, "reader": None if link is None else places[link]}
