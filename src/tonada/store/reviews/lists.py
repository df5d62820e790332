"""What is out for review and what came back, of a brand or of all of them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from psycopg.rows import class_row

from tonada.store.database import Connection

OF_BRANDS = """
    select review.id, review.brand_id, review.created_at, review.withdrawn_at,
           review.may_comment, review.may_choose, review.may_approve,
           jsonb_path_query_array(review.content, '$.takes[*].name') as takes,
           jsonb_path_query_array(review.content, '$.pages[*].id') as pages,
           (select count(*) from remark
             where remark.workspace_id = review.workspace_id and remark.review_id = review.id
               and remark.link_id is not null and remark.answers is null
               and remark.taken_back_at is null) as remarks,
           (select count(*) from remark
             where remark.workspace_id = review.workspace_id and remark.review_id = review.id
               and remark.link_id is not null and remark.answers is null
               and remark.taken_back_at is null and remark.resolved_at is null) as unresolved,
           (select count(*) from review_link
             where review_link.workspace_id = review.workspace_id and review_link.review_id = review.id
               and review_link.withdrawn_at is null
               and (review_link.expires_at is null or review_link.expires_at > clock_timestamp())
           ) as open_links,
           (select max(last_opened_at) from review_link
             where review_link.workspace_id = review.workspace_id and review_link.review_id = review.id
           ) as last_opened_at,
           (select event.who || ' chose ' || coalesce(event.detail ->> 'name', 'none of them')
              from review_event as event
             where event.workspace_id = review.workspace_id and event.review_id = review.id
               and event.kind = 'chosen' order by event.id desc limit 1) as last_choice,
           approval.place as approved_place, approval.name as approved_by, approval.at as approved_at
      from review
      left join approval on approval.workspace_id = review.workspace_id
           and approval.review_id = review.id and approval.reopened_at is null
     where review.workspace_id = %(workspace)s and review.brand_id = any(%(brands)s)
     order by review.created_at desc, review.id
"""


@dataclass(frozen=True, slots=True)
class ListedReview:
    """A review in the list. takes: their names as they are shown. pages: none for a palette alone.

    remarks: by clients, without answers; unresolved: of those. open_links: that still lead to it.
    last_choice: by whom and what, as a sentence without its full stop.
    """

    id: UUID
    brand_id: UUID
    created_at: datetime
    withdrawn_at: datetime | None
    may_comment: bool
    may_choose: bool
    may_approve: bool
    takes: list[str]
    pages: list[str]
    remarks: int
    unresolved: int
    open_links: int
    last_opened_at: datetime | None
    last_choice: str | None
    approved_place: int | None
    approved_by: str | None
    approved_at: datetime | None


def of_brands(connection: Connection, workspace: UUID, brands: Sequence[UUID]) -> list[ListedReview]:
    """Return all reviews of some brands, the newest first."""
    row = {"workspace": workspace, "brands": list(brands)}
    with connection.cursor(row_factory=class_row(ListedReview)) as cursor:
        return cursor.execute(OF_BRANDS, row).fetchall()
