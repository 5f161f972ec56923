"""Orders of rules, on plain numbers: they know no algebra."""

from collections.abc import Iterator
from typing import Any

from uchuu_core.lawbook.says import Sentence
from uchuu_core.methods.method import Moment
from uchuu_core.methods.orders import MOST_TIMES, Rule, chain, exhaust, first_of, rewritten

HALVED, LESSENED = Sentence("Halved."), Sentence("One less than {number}.")


def _written(rule: Rule, start: int) -> list[Any]:
    return [moment.line for moment in rule(start)]


def _halve(number: Any) -> Iterator[Moment]:
    if number % 2 == 0:
        yield Moment(number // 2, HALVED())


_lessen = rewritten(lambda number: max(number - 1, 0), lambda number: LESSENED(number))


def test_a_chain_goes_on_from_what_was_left() -> None:
    assert _written(chain(_halve, _lessen, _halve), 10) == [5, 4, 2]
    assert _written(chain(_halve, _lessen), 7) == [6]
    assert _written(chain(), 7) == []


def test_the_first_rule_that_applies_is_done_and_no_other() -> None:
    assert _written(first_of(_halve, _lessen), 10) == [5]
    assert _written(first_of(_halve, _lessen), 7) == [6]
    assert _written(first_of(_halve), 7) == []


def test_a_rule_is_exhausted_and_never_runs_away() -> None:
    assert _written(exhaust(_halve), 12) == [6, 3]
    assert _written(exhaust(first_of(_halve, _lessen)), 5) == [4, 2, 1, 0] + [0] * (MOST_TIMES - 4)


def test_what_stays_as_it_is_is_not_written() -> None:
    assert _written(_lessen, 0) == []
    [moment] = _lessen(3)
    assert moment.says.text == "One less than 3."
