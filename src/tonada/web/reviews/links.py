"""Links as the designer gets them: once with their token, and sent where that was asked for."""

from __future__ import annotations

from datetime import timedelta
from urllib.parse import urlsplit

from flask import current_app, request

from tonada.files.sheet_preview import front_of
from tonada.mail.messages import LINK_LEFT_OUT, Sent, as_kept, review_sent
from tonada.mail.server import MailRefused
from tonada.sharing.tokens import Token
from tonada.store.reviews import frozen, mails
from tonada.store.reviews.frozen import ReviewRow
from tonada.store.reviews.links import LinkRow
from tonada.web.access import workspace_connection
from tonada.web.reviews.client_views import colors_of
from tonada.web.reviews.courier import Courier, new_mail
from tonada.web.reviews.hosts import review_origin
from tonada.web.reviews.models import LinkAnswer, NewLinkAnswer


def link_answer(row: LinkRow) -> LinkAnswer:
    """Return a link as the designer sees it."""
    return LinkAnswer(
        id=row.id,
        name=row.name,
        has_passphrase=row.passphrase is not None,
        expires_at=row.expires_at,
        withdrawn_at=row.withdrawn_at,
        created_at=row.created_at,
        first_opened_at=row.first_opened_at,
        last_opened_at=row.last_opened_at,
        opened=row.opened,
    )


def new_link_answer(review: ReviewRow, made: tuple[LinkRow, Token], mail: str | None) -> NewLinkAnswer:
    """Return a link with its address, once; and send it where a mail was asked for.

    To be called when the link is kept for good: nobody is sent one that is not, and no transaction waits
    for a mail server.
    """
    link, token = made
    path = f"/review/{token.text}"
    origin = review_origin(current_app.extensions["tonada.settings"], request.host)
    address = f"{origin}{path}" if origin else None
    problem = None
    if mail:
        problem = _mail_link(review, link, mail, address)
    return NewLinkAnswer(
        link=link_answer(link),
        path=path,
        address=address,
        mailed=bool(mail) and problem is None,
        problem=problem,
    )


def _mail_link(review: ReviewRow, link: LinkRow, to: str, address: str | None) -> str | None:
    """Send a link; return why it could not be sent. What is kept of the mail has the link left out."""
    if address is None:
        return "Not sent, because a client can’t reach this machine. Send the review as a file."
    content = review.content

    with workspace_connection() as (connection, workspace):
        sheet = bytes.fromhex(content["takes"][0]["sheet"])
        picture = front_of(frozen.read_file(connection, workspace, sheet).content)
        studio = mails.studio(connection, workspace)

    def letter_with(where: str) -> Sent:
        return Sent(
            brand=str(content["brand"]),
            studio=str(content["studio"]),
            greeting=review.greeting,
            takes=[str(take["name"]) for take in content["takes"]],
            link=where,
            until=f"{link.expires_at - timedelta(days=1):%-d %B %Y}" if link.expires_at else "",
            colors=colors_of(content),
            may_comment=review.may_comment,
            may_choose=review.may_choose,
            picture=picture,
            mark=studio.mark,
            address=studio.notified,
            host=urlsplit(address or "").netloc,
        )

    courier: Courier = current_app.extensions["tonada.courier"]
    try:
        courier.send_now(review_sent(to, letter_with(address)))
    except MailRefused as reason:
        return f"Not sent: {reason}. Copy the link instead."
    kept = new_mail(as_kept(review_sent(to, letter_with(LINK_LEFT_OUT))))
    with workspace_connection() as (connection, workspace):
        mails.queue(connection, workspace, review.id, [kept], is_sent=True)
    return None
