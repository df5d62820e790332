"""Slot sheets: destinations with their slots, filled from a take; and stylesheets in a take's colours."""

from __future__ import annotations

from uuid import UUID

from flask import Response

from tonada.core.errors import InputError
from tonada.core.handoff.slots import SHIPPED, Destination, chosen_slots, fill_slots
from tonada.core.limits import MAX_STYLESHEET_BYTES
from tonada.core.recolouring.old_colors import propose_mapping
from tonada.core.recolouring.restyle import restyle
from tonada.core.source.stylesheets import StyleFile
from tonada.core.take.color_choices import color_choices
from tonada.document.parts import Described
from tonada.files.client_sheet import ExportHeader
from tonada.files.slot_files import SLOT_TYPES, slot_file, slot_file_name
from tonada.store import destinations
from tonada.store.database import Connection
from tonada.store.errors import NotFound
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, answer_value, blueprint
from tonada.web.handoff.handed import attached, handed_version
from tonada.web.handoff.models import (
    DestinationAnswer,
    DestinationBody,
    DestinationsAnswer,
    FillAnswer,
    FillBody,
    FilledAnswer,
    MappingAnswer,
    MappingBody,
    PaperQuery,
    RestyleAnswer,
    RestyleBody,
    SlotFilePath,
)
from tonada.web.security import UPLOADS_PER_MINUTE, csrf, limiter

api = blueprint("slots")
computed = blueprint("slots_computed")
# Nothing is changed, so nothing can be forged.
csrf.exempt(computed)


class DestinationPath(Described):
    destination_id: UUID


@api.get("/destinations", responses={200: DestinationsAnswer}, summary="Destinations, those that ship first")
def list_destinations() -> Response:
    with workspace_connection() as (connection, workspace):
        own = destinations.list_all(connection, workspace)
    found = [DestinationAnswer.of_shipped(destination) for destination in SHIPPED]
    found += [DestinationAnswer.of_row(row) for row in own]
    return answer(DestinationsAnswer(destinations=tuple(found)))


@api.post("/destinations", responses={201: DestinationAnswer}, summary="A new destination")
def create_destination(body: DestinationBody) -> Response:
    _check_slots(body)
    with workspace_connection() as (connection, workspace):
        row = destinations.create(connection, workspace, body.name, _slots(body))
    return answer(DestinationAnswer.of_row(row), 201)


@api.put(
    "/destinations/<uuid:destination_id>",
    responses={200: DestinationAnswer},
    summary="Save a destination; refused where it was changed since",
)
def save_destination(path: DestinationPath, body: DestinationBody) -> Response:
    _check_slots(body)
    if body.revision is None:
        raise InputError("Say which revision the change was made from.", field="revision")
    with workspace_connection() as (connection, workspace):
        row = destinations.save(
            connection, workspace, path.destination_id, body.name, _slots(body), made_from=body.revision
        )
    return answer(DestinationAnswer.of_row(row))


@api.delete("/destinations/<uuid:destination_id>", summary="Delete a destination; it can be restored")
def remove_destination(path: DestinationPath) -> Response:
    with workspace_connection() as (connection, workspace):
        destinations.remove(connection, workspace, path.destination_id)
    return Response(status=204)


@api.post(
    "/destinations/<uuid:destination_id>/restoration",
    responses={200: DestinationAnswer},
    summary="Bring a destination back",
)
def restore_destination(path: DestinationPath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = destinations.restore(connection, workspace, path.destination_id)
    return answer(DestinationAnswer.of_row(row))


@computed.post(
    "/slots", responses={200: FillAnswer}, summary="The slots of a destination, filled from a take"
)
def fill(body: FillBody) -> Response:
    destination = Destination(body.destination, "", tuple(slot.to_slot() for slot in body.slots))
    take = body.document.to_take()
    chosen = chosen_slots(take, body.destination)
    filled = tuple(FilledAnswer.of(slot) for slot in fill_slots(take, destination, chosen))
    return answer(FillAnswer(slots=filled, choices=color_choices(take)))


@api.get(
    "/takes/<uuid:take_id>/versions/<int:number>/slots/<string:destination>/<string:kind>",
    summary="The slots of a destination, filled from a version, as a file",
)
@limiter.limit(UPLOADS_PER_MINUTE)
def download(path: SlotFilePath, query: PaperQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        version = handed_version(connection, workspace, path.take_id, path.number)
        destination = _destination(connection, workspace, path.destination)
    take = version.take
    chosen = chosen_slots(take, path.destination)
    head = ExportHeader(version.brand, version.name, "", None, version.dated.capitalize())
    made = slot_file(destination, fill_slots(take, destination, chosen), head, path.kind, query.paper)
    return attached(made, slot_file_name(destination, head, path.kind), SLOT_TYPES[path.kind])


def _destination(connection: Connection, workspace: UUID, wanted: str) -> Destination:
    """Return a destination that ships, or one's own. Raises NotFound."""
    shipped = next((destination for destination in SHIPPED if destination.id == wanted), None)
    if shipped is not None:
        return shipped
    own = destinations.list_all(connection, workspace)
    found = next((entry for entry in own if str(entry.id) == wanted), None)
    if found is None:
        raise NotFound("There is no such destination.")
    return DestinationAnswer.of_row(found).to_destination()


@computed.post("/mapping", responses={200: MappingAnswer}, summary="Old colours with what takes their place")
def propose(body: MappingBody) -> Response:
    return answer_value({"colors": propose_mapping(body.document.to_take(), _files(body))})


@computed.post("/restyle", responses={200: RestyleAnswer}, summary="Stylesheets in the colours of a take")
def rewrite(body: RestyleBody) -> Response:
    mapping = {entry.old: entry.key for entry in body.mapping}
    made = restyle(body.document.to_take(), _files(body), mapping, body.write)
    return answer_value(
        {
            "files": made.files,
            "diff": made.diff,
            "replaced": made.replaced,
            "pairs": made.pairs,
            "undecided": made.undecided,
        }
    )


def _files(body: MappingBody) -> list[StyleFile]:
    if sum(len(file.text.encode()) for file in body.files) > MAX_STYLESHEET_BYTES:
        raise InputError(
            f"Stylesheets have at most {MAX_STYLESHEET_BYTES // 2**20} MB together.", field="files"
        )
    return [StyleFile(file.name, file.text, file.pictures) for file in body.files]


def _slots(body: DestinationBody) -> list[dict[str, object]]:
    return [slot.model_dump(mode="json") for slot in body.slots]


def _check_slots(body: DestinationBody) -> None:
    """A slot is known by its name, and stands on another slot of the same destination."""
    names = [slot.name for slot in body.slots]
    for row, one in enumerate(body.slots):
        if names.index(one.name) != row:
            raise InputError(f"Two slots are called “{one.name}”.", field=f"slots.{row}.name")
        if one.on is not None and (one.on not in names or one.on == one.name):
            raise InputError(
                f"“{one.name}” stands on “{one.on}”, which isn’t another slot.", field=f"slots.{row}.on"
            )
