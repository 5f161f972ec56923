"""What a sentence says with numbers is true: "3·5 is 15", "−6 and −3: their product is 18, their sum −9"."""

import re
from collections.abc import Iterator
from random import Random
from typing import Any

import pytest
from gallery.__main__ import problems

from uchuu_core import problem_from, work
from uchuu_core.failures import Failure
from uchuu_core.notation import read
from uchuu_core.tests.support.oracle import seem_equal
from uchuu_core.tree.paths import letters

IS = re.compile(r"^,? (?:is|are) $")
PAIR = re.compile(r"^(.+) and (.+): their product is (.+), their sum (.+)\.$")


def _sentences() -> Iterator[list[dict[str, Any]]]:
    for record in problems():
        try:
            worked = work(problem_from({k: v for k, v in record.items() if k != "topic"}))
        except Failure:
            continue
        for line in worked["lines"]:
            yield [dict(piece) for piece in line["parts"]]


def _equal(one: str, other: str) -> bool | None:
    sides: list[Any] = [read(one), read(other)]
    names = tuple(sorted(letters(sides[0]) | letters(sides[1])))
    return seem_equal(sides[0], sides[1], names, Random(7))


@pytest.mark.slow  # many problems
def test_two_sides_of_is_have_one_value() -> None:
    seen = 0
    for parts in _sentences():
        rows = zip([{}, *parts], parts, parts[1:], parts[2:], [*parts[3:], {}])
        for lead, left, between, right, after in rows:
            if re.search(r"\w \Z", lead.get("text", "")) or re.match(" ", after.get("text", "")):
                continue  # "half of −8 is −4", "|x| is 2 or its opposite"
            if "math" in left and "math" in right and IS.match(between.get("text", "")):
                assert _equal(left["math"]["text"], right["math"]["text"]), parts
                seen += 1
    assert seen > 40


@pytest.mark.slow  # many problems
def test_a_pair_has_the_product_and_the_sum_that_are_said() -> None:
    seen = 0
    for parts in _sentences():
        text = "".join(p.get("text", "") or f"({p['math']['text']})" for p in parts)
        for sentence in re.split(r"(?<=\.) ", text):
            found = PAIR.match(sentence)
            if found:
                first, second, product, total = found.groups()
                assert _equal(f"{first}*{second}", product), sentence
                assert _equal(f"{first} + {second}", total), sentence
                seen += 1
    assert seen > 5
