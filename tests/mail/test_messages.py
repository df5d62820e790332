"""What mails about a review say: the same as text and as HTML, and nothing of a client's that acts."""

from __future__ import annotations

from tonada.mail.messages import (
    CameBack,
    Sent,
    approval_made,
    as_kept,
    choice_made,
    remark_made,
    review_sent,
)
from tonada.mail.server import MARK, PICTURE, MailServer, _message

COLORS = ("#2b3a8c", "#d7b13c")


def test_a_review_is_sent_with_its_link() -> None:
    given = Sent(
        "Böhm & Söhne", "Lantern Lane", "Hello,\nlook.", ["A", "B"], "https://r.example/x", "", COLORS
    )
    letter = review_sent("ana@example.org", given)
    assert letter.subject == "Lantern Lane: colours for Böhm & Söhne"
    for said in (letter.text, letter.html):
        assert "https://r.example/x" in said
        assert "A, B" in said
        assert "until" not in said
    assert "Böhm & Söhne" in letter.text
    assert "Böhm &amp; Söhne" in letter.html
    assert all(f'bgcolor="{color}"' in letter.html for color in COLORS)
    alone = review_sent(
        "a@example.org", Sent("Böhm", "", "", ["A"], "https://r.example/x", "3 May 2027", COLORS)
    )
    assert alone.subject == "colours for Böhm"
    assert "The link works until 3 May 2027." in alone.text
    assert "choose one" not in alone.text


def test_what_a_client_wrote_does_nothing_in_a_mail() -> None:
    words = "<img src=x onerror=alert(1)>\nSecond line"
    back = CameBack("Peak\nBcc: x", "<b>Ana</b> said:", words, "https://t.example/r", COLORS)
    for made in (remark_made, choice_made, approval_made):
        letter = made("studio@example.org", back)
        assert "\n" not in letter.subject
        assert "<img" not in letter.html
        assert "&lt;img" in letter.html
        assert words in letter.text
        assert "https://t.example/r" in letter.html


def test_a_mail_asks_only_for_what_may_be_done() -> None:
    def said(takes: list[str], comment: bool, choose: bool) -> str:
        given = Sent("Peak", "", "", takes, "https://r.example/x", "", COLORS, comment, choose)
        return review_sent("a@example.org", given).text

    assert "Look at A, B, say what you think, and choose one." in said(["A", "B"], True, True)
    assert "Look at A, B, and choose one." in said(["A", "B"], False, True)
    assert "Have a look, and say what you think." in said(["A"], True, True)
    assert "Have a look.\n" in said(["A"], False, False)


def test_a_mail_brings_its_picture_and_fetches_nothing() -> None:
    picture = b"\x89PNG\r\n\x1a\n" + bytes(200)
    mark = picture + b"mark"
    given = Sent(
        "Peak", "Lantern", "", ["A"], "https://r.example/x", "", COLORS, picture=picture, mark=mark,
        address="studio@lantern.example", host="r.example",
    )  # fmt: skip
    letter = review_sent("a@example.org", given)
    server = MailServer(
        "mail.example", 25, is_tls=False, user="", password="", sender="studio@lantern.example"
    )
    message = _message(server, letter)
    plain, related = message.iter_parts()
    html, own, image = related.iter_parts()
    assert (own["Content-ID"], own.get_content()) == (f"<{MARK}>", mark)
    assert f'<img src="cid:{MARK}" alt="Lantern"' in html.get_content()
    assert message["Reply-To"] == "studio@lantern.example"
    for said in (html.get_content(), plain.get_content()):
        assert "Sent by Lantern, studio@lantern.example, from r.example." in said
    assert plain.get_content_type() == "text/plain"
    assert f'src="cid:{PICTURE}"' in html.get_content()
    assert image["Content-ID"] == f"<{PICTURE}>"
    assert image.get_content() == picture
    assert 'alt="The colours of A' in letter.html
    kept = as_kept(letter)
    assert kept.pictures == {}
    assert "cid:" not in kept.html
    assert "data:image/png;base64,iVBORw0KGgo" in kept.html
    assert "<img" not in review_sent("a@example.org", Sent("Peak", "", "", ["A"], "x", "", COLORS)).html
