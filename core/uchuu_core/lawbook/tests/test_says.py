"""Sentences as values: filled completely, joined once each, written for the place they stand in."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.lawbook.law import Law
from uchuu_core.lawbook.register import LAWS
from uchuu_core.lawbook.says import (
    Says,
    Sentence,
    WrongParts,
    in_order,
    listed,
    mathematics,
)
from uchuu_core.notation import plain, read, readable
from uchuu_core.tests.support.generators import expressions

LAW = Law("a-law", "a law", notice="What?", why="So.")
ADD = LAW.says("Add {term} to both sides.")
FIRST = LAW.says("{sum} is {value}.", lead="Brackets first")


def test_mathematics_stands_apart_from_words() -> None:
    said = ADD(read("sqrt(2x)/3"))

    assert said.text == "Add √(2x)/3 to both sides."
    assert [next(iter(part)) for part in said.parts] == ["text", "math", "text"]
    math = said.parts[1]["math"]
    assert (math["text"], math["latex"]) == ("sqrt(2x)/3", r"\frac{\sqrt{2x}}{3}")
    assert math["spoken"].startswith("the square root")


@pytest.mark.parametrize("parts", [(), (1, 2)])
def test_a_sentence_takes_the_parts_that_it_has_gaps_for(parts: tuple[int, ...]) -> None:
    with pytest.raises(WrongParts):
        ADD(*parts)
    with pytest.raises(WrongParts):
        ADD(number=1)


def test_equal_sentences_are_said_once_and_the_last_names_the_law() -> None:
    other = Law("another", "another", notice="?", why="!").says("Now divide.")

    says = in_order([ADD(3), ADD(3), other()])

    assert says.text == "Add 3 to both sides. Now divide."
    assert says.law.key == "another"
    assert Says().law_or_none is None
    with pytest.raises(LookupError):
        Sentence("Words.")().law  # noqa: B018


def test_what_comes_first_is_said_once_of_several_in_a_row() -> None:
    says = FIRST(read("1+2"), 3) + FIRST(read("4+5"), 9) + ADD(3) + FIRST(read("6+7"), 13)

    assert says.text == (
        "Brackets first: 1 + 2 is 3. 4 + 5 is 9. Add 3 to both sides. Brackets first: 6 + 7 is 13."
    )


@pytest.mark.parametrize(
    ("parts", "text"),
    [
        ([read("x")], "x"),
        ([read("x"), read("y")], "x and y"),
        ([read("x"), read("x")], "x"),
        ([1, Fraction(-1, 2), read("z")], "1, −1/2 and z"),
    ],
)
def test_several_parts_are_listed_once_each(parts: list[object], text: str) -> None:
    assert Sentence("Take {these}.")(listed(parts)).text == f"Take {text}."  # type: ignore[arg-type]


def test_what_the_kernel_wrote_is_mathematics_where_it_can_be_read() -> None:
    assert plain(mathematics("x != 2")) == "x != 2"  # type: ignore[arg-type]
    assert mathematics("about -1.5 (a root of x^5 - x)") == "about −1.5 (a root of x^5 − x)"


@given(expressions())
def test_a_reader_sees_no_typed_notation(tree: object) -> None:
    text = readable(tree)  # type: ignore[arg-type]

    assert not {"-", "*"} & set(text)
    assert not any(typed in text for typed in ("sqrt", "cbrt", "root(", "abs(", "!=", "<="))


@given(st.sampled_from(sorted(LAWS)))
def test_every_law_says_what_to_notice_and_why_it_holds(key: str) -> None:
    law = LAWS[key]

    assert law.key == key
    assert law.name
    assert not law.name.endswith(".")
    assert law.notice.endswith(("?", "."))
    assert law.why.endswith(".")
    assert law.sentences
    assert all(sentence.law is law for sentence in law.sentences)
