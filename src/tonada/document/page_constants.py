"""Prints what the page has to know before it asks: `python -m tonada.document.page_constants`.

The build puts it into the front end, so that no rule or word of the job is written there a second time.
"""

from __future__ import annotations

import json
from dataclasses import asdict
from typing import Any

from tonada.core.formats.endings import ACCEPTED
from tonada.core.handoff.slots import Slot
from tonada.core.proof.toning import LUMA
from tonada.core.roles.giving import ADDED
from tonada.core.take.parts import PARTS_OF_A_SCHEME
from tonada.core.take.proof_settings import CENTERED, LEAST_AMOUNT, MOST_AMOUNT, MOST_ZOOM, PLAIN
from tonada.core.take.take import Role, role_name
from tonada.document.take import TakeDocument


def page_constants() -> dict[str, Any]:
    """Return the take one begins with, the names of roles, and what else is the same for everybody."""
    new_slot = asdict(Slot("", "extra"))
    del new_slot["name"]
    return {
        "empty_take": TakeDocument().model_dump(mode="json"),
        "role_names": {role: role_name(role) for role in Role},
        "added_roles": list(ADDED),
        "parts_of_a_scheme": list(PARTS_OF_A_SCHEME),
        "new_slot": new_slot,
        "luma": list(LUMA),
        "whole_picture": asdict(CENTERED),
        "plain_tone": asdict(PLAIN),
        "most_zoom": MOST_ZOOM,
        "amounts": {"least": LEAST_AMOUNT, "most": MOST_AMOUNT},
        "accepted": {place: ",".join(endings) for place, endings in ACCEPTED.items()},
    }


if __name__ == "__main__":
    print(json.dumps(page_constants(), indent=1))
