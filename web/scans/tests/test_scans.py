"""Scanned stacks: every page finds its student, in any order and rotation; what cannot be read waits."""

import io
from typing import Any
from uuid import UUID

import pypdfium2
import pytest
import zxingcpp
from api.testing import ApiClient
from hypothesis import given, settings
from hypothesis import strategies as st
from jobs import running
from jobs.models import RUNNING, WAITING, Job
from papers.models import Sitting
from papers.tests.test_papers import FIRST_ONLY, RIGHT, sitting_of
from PIL import Image

from scans.actions import cutting
from scans.handouts import handouts_pdf
from scans.made_stack import made_stack
from scans.marks import PageMark, mark_of
from scans.models import ScanPage, ScanStack
from scans.pictures import count_pages, pictures, turned

MARKS = st.builds(
    PageMark,
    st.uuids(),
    st.sampled_from(["", "A", "Z"]),
    st.integers(1, 999),
    st.integers(1, 10**11),
)


@given(MARKS)
@settings(max_examples=200, deadline=None)
def test_a_mark_says_what_it_was_made_of(mark: PageMark) -> None:
    assert mark_of(mark.text()) == mark


@pytest.mark.parametrize(
    "text", ["", "U1", "U1.ZZ.A.1", "U2.1.A.1.1", f"U1.{'Z' * 25}.A.1.1", "U1.1.A.1.1\n"]
)
def test_another_mark_is_none_of_ours(text: str) -> None:
    assert mark_of(text) is None


def test_every_page_of_every_copy_has_its_mark(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    sitting = Sitting.objects.get()
    reply = ada.call("GET", f"/scans/{grid['id']}/handouts.pdf?room=none")
    assert reply.content.startswith(b"%PDF-")
    read = []
    for number in range(int(count_pages(handouts_pdf(sitting)))):
        (picture,) = pictures(handouts_pdf(sitting), number, number + 1)
        assert picture is not None
        read.append(mark_of(picture.marks[0]))
    expected = [PageMark(UUID(grid["id"]), "", 1, one["id"]) for one in grid["students"]]
    assert [mark for mark in read if mark and mark.page == 1] == expected


def _stack(codes: int, torn: int = 1) -> bytes:
    written = {
        f"{n:02}": {1: RIGHT if n % 2 else FIRST_ONLY, 2: ["x = 3 or x = -2"]}
        for n in range(1, codes + 1)
    }
    return made_stack(Sitting.objects.get(), written, 5, torn)


def test_a_stack_in_any_order_and_rotation_finds_its_students(ada: ApiClient) -> None:
    grid = sitting_of(ada, tuple(f"{n:02}" for n in range(1, 9)))
    path = f"/scans/{grid['id']}"
    assert ada.upload(path, "stack.pdf", _stack(8)).status_code == 202

    pages = ada.call("GET", path).json()["pages"]
    assert len(pages) == 8
    assert len({page["student"] for page in pages if page["student"]}) == 7
    (torn,) = [page for page in pages if page["student"] is None]
    assert torn["says"] == "No mark can be read on it."
    assert ScanStack.objects.get().content is None
    for page in ScanPage.objects.exclude(
        student=None
    ):  # upright: its mark stands where it was printed
        (mark,) = zxingcpp.read_barcodes(Image.open(io.BytesIO(bytes(page.image))))
        assert abs(mark.orientation) < 10
    left = next(
        one["id"] for one in grid["students"] if one["id"] not in {p["student"] for p in pages}
    )
    body = {"student": left, "page": 1, "turn": 180}
    laid = ada.call("PUT", f"{path}/pages/{torn['id']}", body).json()["pages"]
    assert {page["student"] for page in laid} == {one["id"] for one in grid["students"]}
    picture = ada.call("GET", f"{path}/pages/{torn['id']}/picture")
    assert (picture["Content-Type"], picture["X-Content-Type-Options"]) == ("image/jpeg", "nosniff")
    assert ada.call("DELETE", f"{path}/pages/{torn['id']}").status_code == 200
    assert ScanPage.objects.count() == 7


def test_a_page_that_is_there_or_of_another_sitting_waits(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    stack = _stack(3, torn=0)
    path = f"/scans/{grid['id']}"
    ada.upload(path, "stack.pdf", stack)
    again = ada.upload(path, "again.pdf", stack).json()["pages"]
    says = [page["says"] for page in again if page["student"] is None]
    assert len(says) == 3
    assert all(one.endswith("is there already.") for one in says)
    other = sitting_of(ada)
    strange = ada.upload(f"/scans/{other['id']}", "stack.pdf", stack).json()["pages"]
    assert {page["says"] for page in strange} == {"Its mark is of another sitting."}


def _picture(kind: str) -> bytes:
    out = io.BytesIO()
    Image.new("L", (300, 400), 255).save(out, kind)
    return out.getvalue()


def test_a_picture_is_a_page_too(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    for kind in ("PNG", "JPEG", "TIFF"):
        reply = ada.upload(f"/scans/{grid['id']}", f"page.{kind.lower()}", _picture(kind))
        assert reply.status_code == 202
    assert ScanPage.objects.count() == 3


def _with_large_page() -> bytes:
    document = pypdfium2.PdfDocument.new()
    document.new_page(14_000, 14_000)
    document.new_page(595, 842)
    out = io.BytesIO()
    document.save(out)
    return out.getvalue()


BAD = [
    b"",
    b"no picture",
    b"%PDF-1.7\n" + b"\x00" * 5000,
    b"GIF89a" + b"\x00" * 100,
    b"<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>",
    b"<html><script>alert(1)</script>",
    _picture("PNG")[:60],
    b"MZ" + b"\x90" * 400,
    b"\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR\x00\x01\x86\xa0\x00\x01\x86\xa0\x08\x00\x00\x00\x00"
    + b"\x00" * 40,
]


@pytest.mark.parametrize("content", BAD)
def test_what_is_no_picture_is_refused_and_nothing_of_it_stays(
    ada: ApiClient, content: bytes
) -> None:
    grid = sitting_of(ada)
    reply = ada.upload(f"/scans/{grid['id']}", "page.pdf", content)
    assert reply.status_code == 422
    assert reply.json()["message"]
    assert not ScanStack.objects.exists()


def test_a_page_that_is_too_large_waits_and_the_others_come(ada: ApiClient) -> None:
    grid = sitting_of(ada)
    ada.upload(f"/scans/{grid['id']}", "large.pdf", _with_large_page())
    pages = ada.call("GET", f"/scans/{grid['id']}").json()["pages"]
    assert [(page["shown"], page["says"]) for page in pages] == [
        (False, "This page cannot be drawn."),
        (True, "No mark can be read on it."),
    ]


class Killed(BaseException):
    """The worker is gone."""


@pytest.mark.parametrize("after", range(4))
def test_a_cutting_that_is_killed_doubles_no_page(
    ada: ApiClient, monkeypatch: pytest.MonkeyPatch, after: int
) -> None:
    grid = sitting_of(ada)
    lay, laid = cutting._lay, []

    def killed(*words: Any) -> None:
        lay(*words)
        laid.append(words)
        if len(laid) == after:
            raise Killed

    monkeypatch.setattr(cutting, "A_STEP", 2)
    with monkeypatch.context() as patched:
        patched.setattr(cutting, "_lay", killed)
        if after:
            with pytest.raises(Killed):
                ada.upload(f"/scans/{grid['id']}", "stack.pdf", _stack(3, 0))
    if after:
        job = Job.objects.get(kind="scans")
        Job.objects.filter(pk=job.pk, state=RUNNING).update(state=WAITING)
        running.run(str(job.pk))
    else:
        ada.upload(f"/scans/{grid['id']}", "stack.pdf", _stack(3, 0))
    assert ScanPage.objects.exclude(student=None).count() == ScanPage.objects.count() == 3


def test_two_teachers_never_see_each_others_pages(ada: ApiClient, ben: ApiClient) -> None:
    grid = sitting_of(ada)
    ada.upload(f"/scans/{grid['id']}", "page.png", _picture("PNG"))
    page = ScanPage.objects.get().pk
    body = {"student": None, "page": 1}
    for method, path in (
        ("GET", ""),
        ("GET", f"/pages/{page}/picture"),
        ("PUT", f"/pages/{page}"),
        ("DELETE", f"/pages/{page}"),
        ("GET", "/handouts.pdf"),
    ):
        assert ben.call(method, f"/scans/{grid['id']}{path}", body).status_code == 404
    assert ben.upload(f"/scans/{grid['id']}", "page.png", _picture("PNG")).status_code == 404
    other = sitting_of(ben)
    mine = f"/scans/{grid['id']}/pages/{page}"
    theirs = {"student": other["students"][0]["id"], "page": 1}
    assert ada.call("PUT", mine, theirs).status_code == 404


def test_turned_four_times_a_picture_stands_as_before() -> None:
    wide = io.BytesIO()
    Image.new("L", (300, 200), 255).save(wide, "JPEG")
    once = turned(wide.getvalue(), 90)
    assert Image.open(io.BytesIO(once)).size == (200, 300)
    assert Image.open(io.BytesIO(turned(once, 270))).size == (300, 200)
