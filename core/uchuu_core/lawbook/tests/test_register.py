"""The lawbook as a whole: one key a law, every sentence said somewhere, nothing that no teacher says."""

import ast
import re
from pathlib import Path

import pytest

from uchuu_core.lawbook.law import Law
from uchuu_core.lawbook.register import CHAPTERS, LAWS, SENTENCES
from uchuu_core.lawbook.says import Sentence
from uchuu_core.moves.catalogue import LAWS as MOVES
from uchuu_core.tests.support.voice import never_said

CORE = Path(__file__).parents[2]


def test_no_two_laws_have_one_key() -> None:
    laws = [law for chapter in CHAPTERS for law in vars(chapter).values() if isinstance(law, Law)]

    assert len({law.key for law in laws}) == len({id(law) for law in laws}) == len(LAWS)


def test_every_sentence_of_a_law_has_a_name_of_its_own() -> None:
    named = {id(sentence) for sentence in SENTENCES.values()}

    assert named >= {id(sentence) for law in LAWS.values() for sentence in law.sentences}
    templates = [(s.law and s.law.key, s.lead, s.template) for s in SENTENCES.values()]
    assert len(set(templates)) == len(templates)


@pytest.mark.slow  # many problems
def test_every_sentence_is_said_by_somebody() -> None:
    used: set[str] = set()
    for path in CORE.rglob("*.py"):
        if "tests" in path.parts or "lawbook" in path.parts:
            continue
        tree = ast.parse(path.read_text("utf-8"))
        used |= {node.id for node in ast.walk(tree) if isinstance(node, ast.Name)}
        used |= {node.attr for node in ast.walk(tree) if isinstance(node, ast.Attribute)}

    for key in SENTENCES:
        assert key.partition("/")[2].upper().replace("-", "_") in used, key


@pytest.mark.parametrize("sentence", SENTENCES.values(), ids=list(SENTENCES))
def test_a_template_is_what_a_teacher_would_say(sentence: Sentence) -> None:
    text = sentence.template

    assert re.match(r"[A-Z{√×÷±i\d]", text), text
    assert text.endswith((".", "?")) or "{" in text
    assert "-" not in re.sub(r"(?<=[a-z])-(?=[a-z])", "", text)
    assert not never_said(re.sub(r"\{\w+\}", "x", text), is_equation=True)


@pytest.mark.parametrize("move", MOVES, ids=lambda move: move.key)
def test_a_law_that_is_applied_says_its_own_sentence(move: object) -> None:
    key, said = move.key, move.says  # type: ignore[attr-defined]

    assert key in LAWS
    if isinstance(said, Sentence):
        assert said.law is LAWS[key]
        assert len(said.gaps) <= 2
