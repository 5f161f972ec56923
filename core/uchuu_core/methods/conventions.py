"""Conventions among which a course chooses, each with a problem or a sentence that shows the choice."""

from dataclasses import dataclass
from typing import get_args, get_type_hints

from uchuu_core.contract import House, Task
from uchuu_core.lawbook.spelling import Wording, worded


@dataclass(frozen=True, slots=True)
class Convention:
    """One question of the house: ``key`` is a field of ``House``, ``choices`` what may be answered, the usual first.

    ``task`` and ``given``: a problem that is worked otherwise by each choice. Where words are chosen, ``says`` is
    a sentence for each choice instead.
    """

    key: str
    choices: tuple[str, ...]
    task: Task | None = None
    given: str = ""
    says: tuple[str, ...] = ()


_KINDS = get_type_hints(House)


def _shown(key: str, task: Task, given: str) -> Convention:
    return Convention(key, get_args(_KINDS[key]), task, given)


def _said(key: str, sentence: str) -> Convention:
    choices = get_args(_KINDS[key])
    said = (worded(sentence, Wording(**{key: choice})) for choice in choices)
    return Convention(key, choices, says=tuple(said))


CONVENTIONS = (
    _shown("plus_minus", "solve", "x^2 - 6x - 3 = 0"),
    _shown("no_real_root", "solve", "x^2 - 4x + 13 = 0"),
    _shown("checks", "solve", "2x + 3 = 11"),
    _shown("fractions", "evaluate", "2/3 + 3/4"),
    _shown("powers", "simplify", "(2x^3)^4"),
    _shown("numerators", "simplify", "1/x + 1/(x + 2)"),
    _shown("domains", "domain", "1/(x^2 - 9)"),
    _said("removing", "Divide out x + 3 above and below."),
    _said("undoing", "The unknown is multiplied by something. What undoes that?"),
)
