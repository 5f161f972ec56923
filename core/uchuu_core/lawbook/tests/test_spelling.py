"""Sentences in the spelling of a country."""

import pytest

from uchuu_core.lawbook.spelling import Wording, worded, worded_record
from uchuu_core.moves.catalogue import wordings
from uchuu_core.operations import answer


@pytest.mark.parametrize(
    ("text", "american", "british"),
    [
        ("Factor the trinomial.", "Factor the trinomial.", "Factorise the trinomial."),
        ("Only factors divide out.", "Only factors divide out.", "Only factors divide out."),
        ("Rationalise the bottom.", "Rationalize the bottom.", "Rationalise the bottom."),
        ("A sum of squares does not factor.", "A sum of squares does not factor.", "A sum of squares does not factorise."),
        ("Take the common factor out.", "Take the common factor out.", "Take the common factor out."),
        ("End behaviour while factoring", "End behavior while factoring", "End behaviour while factorising"),
    ],
)  # fmt: skip
def test_a_verb_is_spelt_and_a_noun_stays(text: str, american: str, british: str) -> None:
    assert worded(text, Wording(spelling="us")) == american
    assert worded(text, Wording(spelling="uk")) == british


@pytest.mark.parametrize(
    "wording",
    [Wording(), Wording("uk"), Wording("us", "cancel", "undo"), Wording("uk", "cancel", "inverse")],
)
def test_wording_twice_changes_nothing_more(wording: Wording) -> None:
    for entry in wordings().values():
        for text in (entry.name, entry.why, entry.repair):
            once = worded(text, wording)
            assert worded(once, wording) == once


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("Divide out the common factors.", "Cancel the common factors."),
        ("x + 3 divides out.", "x + 3 cancels."),
        ("Everything is divided out.", "Everything is canceled."),
        ("Before dividing out, factor.", "Before canceling, factor."),
    ],
)
def test_a_course_that_cancels_says_so(text: str, said: str) -> None:
    assert worded(text, Wording(removing="cancel")) == said
    assert worded(text, Wording()) == text


def test_a_course_of_inverses_and_one_that_undoes() -> None:
    text = "The unknown is multiplied by something. What undoes that?"
    assert worded(text, Wording(undoing="undo")) == text
    assert worded(text, Wording()).endswith("What is the inverse of that?")


def test_only_what_is_said_is_spelt_not_what_somebody_wrote() -> None:
    found = {
        "text": "factoring",
        "says": "factoring",
        "reasons": ["factoring"],
        "parts": [{"text": "factoring "}, {"math": {"text": "factoring"}}],
        "lines": [{"text": "factoring", "name": "factoring"}],
        "apart": {"id": "own-3", "name": "Forgets while factoring", "says": "factoring"},
        "error": "own-3",
    }
    assert worded_record(found, Wording(spelling="uk")) == {
        "text": "factoring",
        "says": "factorising",
        "reasons": ["factorising"],
        "parts": [{"text": "factorising "}, {"math": {"text": "factoring"}}],
        "lines": [{"text": "factoring", "name": "factorising"}],
        "apart": found["apart"],
        "error": "own-3",
    }


def test_an_answer_obeys_the_house() -> None:
    asked = {"id": "1", "task": "factor", "given": "x^2+5x+6", "lines": ["x(x+5)+6"]}
    (american,) = answer("check", asked)["lines"]
    (british,) = answer("check", {**asked, "house": {"spelling": "uk"}})["lines"]
    assert american["error"]["name"] == "Stops before everything is factored"
    assert british["error"]["name"] == "Stops before everything is factorised"
    assert {**american, "error": 0} == {**british, "error": 0}
