"""Orders of rules, which know no algebra: one after another, the first that fits, until none does.

A rule is given a line and yields the moments that lead on from it; it yields nothing where it does not
apply. A method that is an order of laws is written with these (as tactics are in term rewriting).
"""

from collections.abc import Callable, Iterator
from typing import Any

from uchuu_core.lawbook.says import Says
from uchuu_core.methods.method import BOARD, Moment

Rule = Callable[[Any], Iterator[Moment]]
MOST_TIMES = 40
"""A rule is not repeated more often: it would be at fault, or the line too large."""


def chain(*rules: Rule) -> Rule:
    """Return the rule that does each of *rules* to what the ones before left."""

    def work(line: Any) -> Iterator[Moment]:
        for rule in rules:
            for moment in rule(line):
                line = moment.line
                yield moment

    return work


def first_of(*rules: Rule) -> Rule:
    """Return the rule that does the first of *rules* that applies."""

    def work(line: Any) -> Iterator[Moment]:
        for rule in rules:
            found = list(rule(line))
            if found:
                yield from found
                return

    return work


def exhaust(rule: Rule) -> Rule:
    """Return the rule that does *rule* until it does not apply any more."""

    def work(line: Any) -> Iterator[Moment]:
        for _ in range(MOST_TIMES):
            found = list(rule(line))
            if not found:
                return
            yield from found
            line = found[-1].line

    return work


def rewritten(
    change: Callable[[Any], Any], says: Callable[[Any], Says], weight: int = BOARD
) -> Rule:
    """Return the rule that writes ``change(line)`` where that is another line, and says why.

    Args:
        change: What becomes of a line; itself where nothing does.
        says: What is said, given the line before.
        weight: How much the line weighs.
    """

    def work(line: Any) -> Iterator[Moment]:
        new = change(line)
        if new != line:
            yield Moment(new, says(line), weight)

    return work
