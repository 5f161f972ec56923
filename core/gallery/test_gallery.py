"""The gallery in the docs is what the methods write now."""

from pathlib import Path

from gallery.__main__ import gallery

PAGE = Path(__file__).parents[2] / "docs" / "gallery.md"


def test_the_page_in_the_docs_is_current() -> None:
    written = gallery()

    assert "FAILS" not in written
    assert PAGE.read_text("utf-8") == written, "run python -m gallery > ../docs/gallery.md in core/"
