"""The client's review in a real browser: by a link, on a phone, by keyboard, from a file."""

from __future__ import annotations

import re
from pathlib import Path
from typing import Any

import pytest
from playwright.sync_api import Browser, Page, Route, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import copied, open_demo
from tests.browser.review import ask, brand_of, client_page, frame_of, say, shown
from tests.browser.servers import Server
from tests.sampling import sampled
from tests.waiting import until

# What a list box points at while the keyboard moves through it.
ACTIVE = """
() => {
  const id = document.activeElement.getAttribute('aria-activedescendant')
  return id && document.getElementById(id)?.textContent.trim()
}
"""
PHONE: dict[str, Any] = {"viewport": {"width": 375, "height": 740}, "has_touch": True, "is_mobile": True}


def test_from_the_takes_to_a_yes(page: Page, browser: Browser, server: Server) -> None:
    open_demo(page)
    page.get_by_test_id("reviews").click()
    expect(page.get_by_role("heading", name="Ana approved Midnight")).to_be_visible()
    page.get_by_role("button", name="Show the client").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Take 3", exact=True).check()
    dialog.get_by_label("Name of Take 1").fill("Midnight")
    dialog.get_by_label("Name of Take 3").fill("Dusk")
    dialog.get_by_label("Greeting").fill("Two suggestions.")
    dialog.get_by_label("Recipient").fill("Bo")
    # Nobody is shown pages of a trade that nobody confirmed.
    expect(dialog.get_by_role("button", name="Make the link")).to_be_disabled()
    expect(dialog.get_by_role("button", name="Trade: An observatory, as guessed")).to_be_visible()
    dialog.get_by_label("The pages are right for them").check()
    dialog.get_by_role("button", name="Make the link").click()
    # On a laptop a link leads nobody anywhere, and that is said.
    made = page.get_by_role("region", name="The new link")
    expect(made.get_by_text("Nobody else can open a link to this machine.")).to_be_visible()
    path = made.get_by_role("link", name="View it as the client").get_attribute("href")
    assert path

    with client_page(browser, server, path) as client:
        expect(client.get_by_role("heading", name="Colours for Orrin Peak Observatory")).to_be_visible()
        board = client.frame_locator("iframe[title='A page in the colours of Dusk']")
        expect(board.locator("[data-section=colors]")).to_be_visible()
        client.get_by_role("radio", name="Home").click()
        frame_of(client, "Dusk")
        frame_of(client, "Midnight").locator("[data-part='Opening’s heading']").click()
        about = client.get_by_role("button", name=re.compile("^About: Midnight: Opening’s heading"))
        expect(about).to_be_visible()
        # Made for Bo, who needn't say who he is.
        say(client, "Can it be read from the back row?")
        mark = frame_of(client, "Midnight").get_by_role(
            "button", name="Remark 1, Opening’s heading, Midnight"
        )
        expect(mark).to_have_text("1")

        # The designer sees it without reloading, and answers.
        thread = page.get_by_role("article").filter(has_text="back row")
        expect(thread).to_be_visible()
        thread.get_by_role("button", name="Answer").click()
        thread.get_by_label("Your answer").fill("It has 7.8.")
        thread.get_by_role("button", name="Answer").click()
        expect(client.get_by_test_id("said").get_by_text("It has 7.8.")).to_be_visible()
        expect(client.get_by_test_id("said").get_by_text("Lantern Lane Studio")).to_be_visible()

        client.get_by_role("button", name="Choose this one: Dusk").click()
        expect(client.get_by_text("You chose Dusk.")).to_be_visible()
        client.get_by_role("button", name="Choose this one: Midnight").click()
        expect(client.get_by_text("You chose Midnight.")).to_be_visible()
        expect(
            page.get_by_role("heading", name="Bo chose Midnight, and has not approved it yet")
        ).to_be_visible()
        client.get_by_role("button", name="Approve Midnight").click()
        approve = client.get_by_role("dialog").get_by_role("button", name="Approve", exact=True)
        expect(approve).to_be_disabled()
        client.get_by_label("I approve these colours").check()
        approve.click()
        expect(client.get_by_text("Midnight is approved.")).to_be_visible()
        with client.expect_download() as icons:
            client.get_by_role("link", name="Save the icons").click()
        assert icons.value.suggested_filename.endswith(" icons.zip")
        expect(client.get_by_role("button", name="Choose this one: Dusk")).to_have_count(0)

    expect(page.get_by_role("heading", name="Bo approved Midnight")).to_be_visible()
    history = page.get_by_role("region", name="History")
    expect(history.get_by_text(re.compile(r"Bo approved Midnight, version 2 \(digest"))).to_be_visible()
    page.get_by_role("button", name="Reopen").first.click()
    page.get_by_role("dialog").get_by_label("Reason, for the history").fill("The logo changed")
    page.get_by_role("dialog").get_by_role("button", name="Reopen").click()
    expect(history.get_by_text("The designer reopened the review: “The logo changed”.")).to_be_visible()


@pytest.mark.detail
def test_a_phone_one_thumb(page: Page, browser: Browser, server: Server) -> None:
    made = shown(page)
    with client_page(browser, server, made["link"]["path"], **PHONE) as client:
        frame = frame_of(client, "Midnight")
        # The page is as long as it is: one finger scrolls everything.
        assert client.evaluate("document.documentElement.scrollWidth") <= 375
        frame.locator("[data-part='Opening’s paragraph']").tap()
        dialog = client.get_by_role("dialog", name="Add a remark")
        expect(dialog.get_by_role("button", name="About: Midnight: Opening’s paragraph")).to_be_visible()
        dialog.get_by_label("Your remark").fill("Small on my phone")
        dialog.get_by_label("Your name").fill("Ana")
        dialog.get_by_role("button", name="Send").tap()
        expect(dialog).to_have_count(0)
        expect(frame.get_by_role("button", name=re.compile("^Remark 1"))).to_be_visible()
        client.get_by_role("radio", name="Dusk").tap()
        frame_of(client, "Dusk")
        client.get_by_role("button", name="Choose this one: Dusk").tap()
        expect(client.get_by_text("You chose Dusk.")).to_be_visible()
        client.get_by_role("radio", name="Colours").tap()
        color = client.get_by_test_id("colors").get_by_role("listitem").first
        color.get_by_role("button", name=re.compile("^Add a remark about")).tap()
        expect(
            client.get_by_role("dialog").get_by_role("button", name=re.compile("^About: Dusk: "))
        ).to_be_visible()
        client.keyboard.press("Escape")
        assert client.evaluate("document.documentElement.scrollWidth") <= 375
        assert axe_findings(client) == []


@pytest.mark.detail
def test_takes_are_true_wide_pages_and_the_place_on_the_page_is_kept(
    page: Page, browser: Browser, server: Server
) -> None:
    made = shown(page)
    with client_page(browser, server, made["link"]["path"]) as client:
        for name in ("Midnight", "Dusk"):
            assert frame_of(client, name).locator("body").evaluate("() => innerWidth") == 1280
        client.get_by_role("radio", name="Midnight").click()
        midnight = frame_of(client, "Midnight")
        scrolled = "() => scrollY / (document.documentElement.scrollHeight - innerHeight)"
        midnight.locator("body").evaluate("() => scrollTo(0, 500)")
        place = midnight.locator("body").evaluate(scrolled)
        assert place > 0.1
        for name in ("Dusk", "Midnight"):
            client.get_by_role("radio", name=name).click()
            until(
                lambda shown=name: (
                    abs(frame_of(client, shown).locator("body").evaluate(scrolled) - place) < 0.02
                )
            )
        # Another page starts at its top; back on the first one, one is where one was.
        client.get_by_role("radio", name="Article").click()
        article = client.frame_locator("iframe[title='A page in the colours of Midnight']")
        article.locator("[data-part='Title']").wait_for()
        until(lambda: article.locator("body").evaluate("() => scrollY") == 0)
        client.get_by_role("radio", name="Home").click()
        until(lambda: abs(frame_of(client, "Midnight").locator("body").evaluate(scrolled) - place) < 0.02)


@pytest.mark.detail
def test_the_keyboard_alone(page: Page, browser: Browser, server: Server) -> None:
    made = shown(page)
    with client_page(browser, server, made["link"]["path"]) as client:
        frame_of(client, "Midnight")

        def tab_to(name: str) -> None:
            for _ in range(80):
                client.keyboard.press("Tab")
                focused = client.evaluate(
                    "document.activeElement.getAttribute('aria-label') ?? document.activeElement.textContent"
                )
                if str(focused).strip().startswith(name):
                    return
            raise AssertionError(f"no way to {name}")

        tab_to("Choose this one: Midnight")
        client.keyboard.press("Enter")
        client.get_by_role("dialog").get_by_label("Your name").press_sequentially("Ana")
        client.keyboard.press("Enter")
        expect(client.get_by_text("You chose Midnight.")).to_be_visible()
        tab_to("About: About all of them")
        client.keyboard.press("Enter")
        for _ in range(200):
            client.keyboard.press("ArrowDown")
            pointed = client.evaluate(ACTIVE)
            if pointed == "Dusk: Opening’s heading":
                break
        client.keyboard.press("Enter")
        expect(client.get_by_role("button", name="About: Dusk: Opening’s heading")).to_be_focused()
        client.keyboard.press("Shift+Tab")
        client.keyboard.type("Warmer")
        tab_to("Send")
        client.keyboard.press("Enter")
        expect(client.get_by_test_id("said").get_by_text("Opening’s heading, Dusk")).to_be_visible()
        tab_to("Approve Midnight")
        client.keyboard.press("Enter")
        client.get_by_label("I approve these colours").focus()
        client.keyboard.press("Space")
        client.keyboard.press("Tab")
        client.keyboard.press("Enter")
        expect(client.get_by_text("Midnight is approved.")).to_be_visible()


@pytest.mark.detail
def test_ones_own_words_are_changed_and_taken_back(page: Page, browser: Browser, server: Server) -> None:
    made = shown(page)
    with client_page(browser, server, made["link"]["path"]) as client:
        frame_of(client, "Midnight")
        say(client, "Too dark <b>by far</b>", name="Ana")
        said = client.get_by_test_id("said")
        said.get_by_role("button", name="Change").click()
        said.get_by_label("The remark").fill("Rather dark")
        said.get_by_role("button", name="Save").click()
        expect(said.get_by_text("Rather dark")).to_be_visible()
        expect(said.get_by_text("changed")).to_be_visible()
        said.get_by_role("button", name="Delete").click()
        expect(said.get_by_text("Rather dark")).to_have_count(0)
        # None of them, with a reason.
        client.get_by_role("button", name="None of them").click()
        dialog = client.get_by_role("dialog")
        expect(dialog.get_by_role("button", name="Send")).to_be_disabled()
        dialog.get_by_label("Why").fill("Too cold")
        dialog.get_by_role("button", name="Send", exact=True).click()
        expect(client.get_by_text("You chose none of them.")).to_be_visible()


@pytest.mark.detail
def test_a_passphrase_a_wrong_link_and_one_that_ended(page: Page, browser: Browser, server: Server) -> None:
    made = shown(page, link={"passphrase": "under the dome"})
    with client_page(browser, server, made["link"]["path"]) as client:
        expect(client.get_by_role("heading", name="This review has a passphrase")).to_be_visible()
        assert axe_findings(client) == []
        client.get_by_label("Passphrase").fill("guess")
        client.get_by_role("button", name="Open it").click()
        expect(client.get_by_text("That passphrase is wrong.")).to_be_visible()
        client.get_by_label("Passphrase").fill("under the dome")
        client.keyboard.press("Enter")
        frame_of(client, "Midnight")
        # Withdrawn while it is looked at.
        ask(page, "POST", f"/api/reviews/{made['review']['id']}/withdrawal", {})
        expect(client.get_by_role("heading", name="There is no review here")).to_be_visible()
        expect(client.get_by_text("This review was withdrawn.")).to_be_visible()
    with client_page(browser, server, "/review/nonsense") as client:
        expect(client.get_by_role("heading", name="There is no review here")).to_be_visible()
        assert axe_findings(client) == []


@pytest.mark.detail
def test_just_a_link_to_a_palette(page: Page, browser: Browser, server: Server) -> None:
    open_demo(page, step="handoff")
    page.get_by_role("button", name="Make a link").click()
    expect(page.get_by_text("Nobody else can open a link to this machine.")).to_be_visible()
    brand = brand_of(page)["brand"]["id"]
    newest = ask(page, "GET", f"/api/brands/{brand}/reviews")["reviews"][0]
    assert (newest["pages"], newest["may_comment"], newest["may_choose"]) == ([], False, False)
    link = ask(page, "POST", f"/api/reviews/{newest['id']}/links", {})
    with client_page(browser, server, link["path"]) as client:
        colors = client.get_by_test_id("colors")
        colors.get_by_role("button", name="Copy #2b3a8c").click()
        copied(client, "#2b3a8c")
        expect(colors.get_by_role("button", name="#2b3a8c copied")).to_be_visible()
        expect(colors.get_by_text(re.compile("^The leading colour"))).to_be_visible()
        expect(client.get_by_test_id("said")).to_have_count(0)
        expect(client.get_by_role("button", name=re.compile("Approve|This one"))).to_have_count(0)
        assert axe_findings(client) == []


@pytest.mark.detail(3)
def test_what_came_back_stands_where_the_work_is(page: Page) -> None:
    page.goto("/")
    expect(page.get_by_role("link", name="Midnight approved by Ana, three remarks")).to_be_visible()
    open_demo(page, step="proof")
    remarks = page.get_by_test_id("part-remarks")
    expect(remarks.get_by_text("Could this be the copper instead?")).to_be_visible()
    frame = page.frame_locator("iframe")
    frame.get_by_role("button", name="Remark 2, Opening’s button").click()
    expect(page.get_by_role("heading", name=re.compile("Opening’s button"))).to_be_visible()
    remarks.get_by_role("article").filter(has_text="copper").get_by_role("button", name="Resolve").click()
    expect(remarks.get_by_text("copper")).to_have_count(0)
    # The approved version is marked, and what leaves otherwise is told from it.
    page.get_by_role("link", name="Handoff", exact=True).click()
    note = page.get_by_test_id("approved")
    expect(note.get_by_text("It is what you hand off here.")).to_be_visible()
    page.goto(page.url.replace("/handoff", "/versions"))
    expect(page.get_by_test_id("versions").get_by_text("approved by Ana")).to_be_visible()


@pytest.mark.detail
def test_what_is_handed_off_instead_of_what_was_approved_is_said(page: Page) -> None:
    take = brand_of(page)["takes"][0]["id"]
    saved = ask(page, "GET", f"/api/takes/{take}")
    document = saved["document"]
    document["swatches"][0] |= {"hex": "#2b3a8d"}
    ask(page, "PUT", f"/api/takes/{take}", {"document": document, "revision": saved["revision"]})
    page.goto(f"/brands/{saved['brand_id']}/takes/{take}/handoff/files")
    note = page.get_by_test_id("approved")
    expect(note.get_by_text("What you hand off here is not what was approved.")).to_be_visible()
    note.get_by_role("button", name="Hand off version 1").click()
    expect(note.get_by_text("It is what you hand off here.")).to_be_visible()
    with page.expect_download() as download:
        page.get_by_role("button", name=re.compile("^Download")).first.click()
    content = Path(download.value.path()).read_text()
    assert "#2b3a8c" in content
    assert "#2b3a8d" not in content


@pytest.mark.detail
def test_nothing_is_called_missing_before_it_is_there(page: Page) -> None:
    made = shown(page)
    held: list[Route] = []
    page.route(f"**/api/reviews/{made['review']['id']}", lambda route: held.append(route))
    with page.expect_request(f"**/api/reviews/{made['review']['id']}"):
        page.goto(f"/brands/{made['review']['brand_id']}/reviews")
    page.get_by_role("navigation", name="Reviews of this brand").get_by_role("link").first.wait_for()
    expect(page.get_by_role("status").filter(has_text="Opening…")).to_be_visible()
    expect(page.get_by_text("Nothing is out for review yet")).to_have_count(0)
    held[0].continue_()
    page.get_by_role("heading", name="Out for review", exact=True).wait_for()


@pytest.mark.detail
@pytest.mark.parametrize("scheme", sampled(["light", "dark"], keep=1))
def test_axe_finds_nothing(page: Page, browser: Browser, server: Server, scheme: str) -> None:
    made = shown(page)
    page.evaluate(f"localStorage.setItem('tonada-workspace', '{scheme}')")
    page.goto(f"/brands/{made['review']['brand_id']}/reviews")
    page.get_by_role("heading", name="Out for review", exact=True).wait_for()
    assert axe_findings(page) == []
    page.get_by_role("button", name="Show the client").click()
    page.get_by_role("dialog").get_by_label("Style").wait_for()
    assert axe_findings(page) == []
    page.keyboard.press("Escape")
    page.get_by_role("button", name="New link").click()
    page.get_by_role("dialog").get_by_label("Recipient").wait_for()
    assert axe_findings(page) == []
    page.goto("/mails")
    page.get_by_role("link", name="Orrin Peak Observatory: approved").wait_for()
    assert axe_findings(page) == []
    with client_page(browser, server, made["link"]["path"], color_scheme=scheme) as client:
        client.evaluate(f"localStorage.setItem('tonada-workspace', '{scheme}')")
        client.reload()
        frame_of(client, "Midnight")
        say(client, "Hm", name="Ana")
        assert axe_findings(client) == []
        client.get_by_role("radio", name="Colours").click()
        client.get_by_test_id("colors").first.wait_for()
        assert axe_findings(client) == []


@pytest.mark.detail
def test_the_studio_says_who_it_is(page: Page) -> None:
    page.goto("/")
    page.get_by_role("button", name="View").click()
    page.get_by_role("menuitem", name="Studio").click()
    dialog = page.get_by_role("dialog")
    name = dialog.get_by_label("Name of the studio")
    expect(name).to_have_value("Lantern Lane Studio")
    name.fill("Lantern & Sons")
    dialog.get_by_role("button", name="Save").click()
    expect(dialog).to_have_count(0)
    assert ask(page, "GET", "/api/studio")["studio"] == "Lantern & Sons"


@pytest.mark.detail
def test_forced_colours_keep_the_palette_and_what_is_chosen(
    page: Page, browser: Browser, server: Server
) -> None:
    made = shown(page)
    with client_page(browser, server, made["link"]["path"], forced_colors="active") as client:
        heading = frame_of(client, "Midnight").locator("[data-part='Opening’s heading']")
        assert heading.evaluate("one => getComputedStyle(one).color") == "rgb(215, 177, 60)"
        chosen = client.get_by_role("radio", name="Home").locator("span")
        other = client.get_by_role("radio", name="Article").locator("span")
        background = "one => getComputedStyle(one).backgroundColor"
        assert chosen.evaluate(background) != other.evaluate(background)


@pytest.mark.detail
def test_handoff_is_not_silent_where_it_is_not_known_what_was_approved(page: Page) -> None:
    take = brand_of(page)["takes"][0]["id"]
    path = "**/api/takes/*/came-back"
    # Whatever is told over the stream asks again by itself; here only the button is to do so.
    page.route("**/api/reviews/events", lambda route: route.abort())
    page.route(path, lambda route: route.fulfill(status=503, json={"status": 503, "detail": "Not now."}))
    brand = brand_of(page)["brand"]["id"]
    page.goto(f"/brands/{brand}/takes/{take}/handoff")
    expect(page.get_by_role("alert").filter(has_text="Not now.")).to_be_visible()
    page.unroute(path)
    page.get_by_role("button", name="Try again").click()
    expect(page.get_by_test_id("approved")).to_be_visible()
