"""The gallery in the docs is what the methods write now."""

from pathlib import Path

from gallery.__main__ import gallery
from gallery.errors import page

PAGE = Path(__file__).parents[2] / "docs" / "gallery.md"


def test_the_page_in_the_docs_is_current() -> None:
    written = gallery()

    assert "FAILS" not in written
    assert PAGE.read_text("utf-8") == written, "run python -m gallery > ../docs/gallery.md in core/"


def test_the_manuals_page_of_errors_is_current() -> None:
    stored = Path(__file__).parents[2] / "docs" / "errors.md"

    assert stored.read_text("utf-8") == page(), "python -m gallery.errors > ../docs/errors.md"
