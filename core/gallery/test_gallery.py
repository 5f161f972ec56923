"""The gallery in the docs is what the methods write now."""

from pathlib import Path

import pytest
from uchuu_core.lawbook.register import SENTENCES
from uchuu_core.tests.support.voice import never_said

from gallery.__main__ import gallery
from gallery.errors import page
from gallery.forks import page as forks
from gallery.sentences import example_of
from gallery.sentences import page as sentences

DOCS = Path(__file__).parents[2] / "docs"
PAGE = Path(__file__).parents[2] / "docs" / "gallery.md"


@pytest.mark.slow  # many problems
def test_the_page_in_the_docs_is_current() -> None:
    written = gallery()

    assert "FAILS" not in written
    assert PAGE.read_text("utf-8") == written, "run python -m gallery > ../docs/gallery.md in core/"


def test_the_manuals_page_of_errors_is_current() -> None:
    stored = Path(__file__).parents[2] / "docs" / "errors.md"

    assert stored.read_text("utf-8") == page(), "python -m gallery.errors > ../docs/errors.md"


@pytest.mark.slow  # many problems
def test_the_page_of_sentences_is_current() -> None:
    stored = DOCS / "sentences.md"

    assert stored.read_text("utf-8") == sentences(), (
        "python -m gallery.sentences > ../docs/sentences.md"
    )


@pytest.mark.slow  # many problems
def test_the_page_of_forks_is_current() -> None:
    stored = DOCS / "forks.md"

    assert stored.read_text("utf-8") == forks(), "python -m gallery.forks > ../docs/forks.md"


@pytest.mark.parametrize("key", SENTENCES)
def test_an_example_of_every_sentence_is_one_that_a_teacher_could_say(key: str) -> None:
    said = example_of(SENTENCES[key])

    assert not never_said(said, is_equation=True), said
    assert "{" not in said
