"""A review with a row in every table that it has."""

from __future__ import annotations

import hashlib
from uuid import UUID

from tonada.store.database import Connection
from tonada.store.reviews import frozen, links, mails, remarks, verdicts
from tonada.store.reviews.frozen import FrozenFile, NewReview, ReviewRow, ShownVersion
from tonada.store.reviews.links import LinkRow, NewLink
from tonada.store.reviews.mails import NewMail
from tonada.store.reviews.remarks import NewRemark, Writer


def a_review(connection: Connection, workspace: UUID, brand: UUID, take: UUID) -> tuple[ReviewRow, LinkRow]:
    """Make a review of the first version of a take, with a link, a remark, an approval and a mail."""
    file = FrozenFile(hashlib.sha256(b"draws").digest(), "text/javascript", b"draws")
    frozen.keep_files(connection, workspace, [file])
    frozen.keep_set(connection, workspace, file.digest, {"pages.js": file.digest.hex()})
    shown = [ShownVersion(take, 1, hashlib.sha256(b"document").digest())]
    content = {"brand": "Orrin Peak", "takes": [{"name": "Midnight"}], "pages": []}
    new = NewReview(brand, "Hello", True, True, True, content, file.digest, shown)
    review = frozen.create(connection, workspace, new)
    selector = hashlib.sha256(workspace.bytes).hexdigest()[:12]
    link = links.create(connection, workspace, review.id, NewLink("Ana", selector, b"v" * 32, None, None))
    writer = Writer(link.id, b"p" * 32)
    remarks.create(connection, workspace, review.id, writer, NewRemark({"kind": "whole"}, "Ana", "Lovely"))
    verdicts.record(connection, workspace, review.id, "chosen", link=link.id, who="Ana", detail={"place": 0})
    verdicts.approve(connection, workspace, review.id, 0, "Ana", link.id)
    mails.queue(connection, workspace, review.id, [NewMail("studio@example.org", "A remark", "t", "h")])
    return review, link
