"""Answers to a review that was sent as a file: each act counts once, and none keeps another out."""

from __future__ import annotations

import json
from typing import Any

from flask import Flask

from tests.reviews import Reader, made_review
from tests.web.conftest import Client
from tests.web.test_api import new_brand
from tests.web.test_refusals import problem_of


def answers(made: dict[str, Any], **more: Any) -> dict[str, str]:
    """Return what is posted of a file by Zoë."""
    file = {"format": "tonada-review-answers", "version": 1, "review": made["review"]["id"]}
    return {"text": json.dumps({**file, "key": "a" * 32, "name": "Zoë", "remarks": [], **more})}


def chosen(place: int | None, minute: int) -> dict[str, Any]:
    return {"place": place, "reason": "", "at": f"2026-11-29T12:{minute:02}:00.000Z"}


def held(answer: Any) -> list[int | None]:
    return [one["place"] for one in answer.get_json()["review"]["said"]["choices"]]


def test_a_choice_that_was_changed_twice_is_the_last_one(client: Client, made: dict[str, Any]) -> None:
    path = f"/api/reviews/{made['review']['id']}/answers"
    for minute, place in enumerate((0, 1, 0)):
        answer = client.post(path, json=answers(made, choice=chosen(place, minute)))
        assert held(answer) == [place]
    # An older file that is found again later changes nothing.
    assert held(client.post(path, json=answers(made, choice=chosen(1, 1)))) == [0]


def test_what_comes_after_an_approval_is_said_and_its_remarks_are_kept(
    client: Client, app: Flask, made: dict[str, Any]
) -> None:
    Reader(app, made["link"]["path"]).ask(
        "POST", "/approval", json={"name": "Ana", "place": 0, "agreed": True}
    )
    remark = {"key": "k" * 32, "about": {"kind": "whole"}, "text": "Late, but heard"}
    path = f"/api/reviews/{made['review']['id']}/answers"
    late = client.post(path, json=answers(made, remarks=[remark], choice=chosen(1, 0))).get_json()
    assert (late["added"], late["is_late"]) == (1, True)
    said = late["review"]["said"]
    assert [one["text"] for one in said["remarks"]] == ["Late, but heard"]
    assert (said["choices"], said["approval"]["who"]) == ([], "Ana")


def test_an_approval_by_file_counts_once_and_is_not_late_to_itself(
    client: Client, made: dict[str, Any]
) -> None:
    path = f"/api/reviews/{made['review']['id']}/answers"
    body = answers(made, approved={"place": 1, "at": "2026-11-29T12:00:00.000Z"})
    first, again = (client.post(path, json=body).get_json() for _ in range(2))
    assert first["review"]["said"]["approval"]["who"] == "Zoë"
    assert not again["is_late"]
    # Opened again, the same file does not approve it again.
    client.post(f"/api/reviews/{made['review']['id']}/reopening", json={})
    assert client.post(path, json=body).get_json()["review"]["said"]["approval"] is None


def test_answers_that_do_not_belong_here_change_nothing(client: Client, made: dict[str, Any]) -> None:
    other = made_review(client, new_brand(client), may_choose=False)
    path = f"/api/reviews/{other['review']['id']}/answers"
    assert "another review" in problem_of(client.post(path, json=answers(made)), 422)["detail"]
    asked = client.post(path, json=answers(other, choice=chosen(0, 0)))
    assert "doesn't ask for" in problem_of(asked, 422)["detail"]
    said = client.get(f"/api/reviews/{other['review']['id']}").get_json()
    assert (said["said"]["choices"], len(said["links"])) == ([], 1)
