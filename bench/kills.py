"""What was acknowledged survives: python -m bench.kills [KILLS], python -m bench.kills races [SAVES].

Kills: somebody saves all the while, and in turn a worker, the master, PostgreSQL and `serve` itself are
killed (-9). Counted is what was acknowledged and is not there afterwards. Races: of several saves made
from one revision exactly one may be taken.
"""

from __future__ import annotations

import sys
import threading
import time
from concurrent.futures import ThreadPoolExecutor

from tests.served import Person, Served, kill

from bench.served import a_server

VICTIMS = ("worker", "master", "database", "serve")


def kills(count: int) -> None:
    lost = acknowledged = 0
    with a_server() as served:
        person = Person(served)
        brand = person.ask("POST", "/api/brands", {"name": "Killed"})[1]
        path = f"/api/takes/{brand['first_take']}"
        state = person.ask("GET", path)[1]
        over = threading.Event()
        last: dict[str, int | str] = {"revision": state["revision"], "sample": ""}

        def save() -> None:
            own, number = Person(served), 0
            own.headers = dict(person.headers)
            while not over.is_set():
                number += 1
                name = f"save {number}"
                document = {**state["document"], "swatches": [{**SWATCH, "name": name}]}
                status, saved = own.ask("PUT", path, {"document": document, "revision": last["revision"]})
                if status != 200:
                    raise SystemExit(f"a save was answered {status}: {saved}")
                last.update(revision=saved["revision"], sample=name, count=number)

        saving = threading.Thread(target=save)
        saving.start()
        for number in range(count):
            time.sleep(0.7)
            victim = VICTIMS[number % len(VICTIMS)]
            end_one(served, victim)
            served.wait_until_up()
            seen = dict(last)
            found = person.ask("GET", path)[1]
            # What was acknowledged before the look is there, or something newer is.
            lost += found["revision"] < seen["revision"]
        over.set()
        saving.join()
        found = person.ask("GET", path)[1]
        lost += found["document"]["swatches"][0]["name"] != last["sample"]
        acknowledged = int(last.get("count", 0))
    print(f"{count} kills, {acknowledged} acknowledged saves, {lost} lost")


def end_one(served: Served, victim: str) -> None:
    if victim == "serve":
        served.kill()
        while served.database_left():
            time.sleep(0.05)
        served.start()
    else:
        find = {
            "worker": lambda: served.workers()[0],
            "master": served.web_master,
            "database": served.database,
        }
        kill(find[victim]())


def races(count: int) -> None:
    wrong = refused = 0
    with a_server() as served:
        people = [Person(served) for _ in range(8)]
        brand = people[0].ask("POST", "/api/brands", {"name": "Raced"})[1]
        path = f"/api/takes/{brand['first_take']}"
        state = people[0].ask("GET", path)[1]
        for person in people[1:]:
            person.sign_in()
        revision, number = state["revision"], 0
        with ThreadPoolExecutor(len(people)) as pool:
            while number < count:
                documents = [
                    {**state["document"], "swatches": [{**SWATCH, "name": f"race {number + place}"}]}
                    for place in range(len(people))
                ]
                asked = [{"document": one, "revision": revision} for one in documents]
                answers = list(
                    pool.map(lambda pair: pair[0].ask("PUT", path, pair[1]), zip(people, asked, strict=True))
                )
                statuses = [status for status, _ in answers]
                wrong += statuses.count(200) != 1
                refused += statuses.count(409)
                taken = next(saved for status, saved in answers if status == 200)
                revision, number = taken["revision"], number + len(people)
                if number % 1000 < len(people):
                    for person in people:
                        person.sign_in()
        last = people[0].ask("GET", path)[1]
        wrong += last["revision"] != revision
    print(f"{number} saves in {number // len(people)} races, {refused} refused, {wrong} wrong")


SWATCH = {
    "id": "s1",
    "hex": "#2b3a8c",
    "held": False,
    "origin": {"kind": "typed", "note": "", "source": None, "share": None},
}

if __name__ == "__main__":
    if sys.argv[1:2] == ["races"]:
        races(int(sys.argv[2]) if len(sys.argv) > 2 else 2000)
    else:
        kills(int(sys.argv[1]) if len(sys.argv) > 1 else 30)
