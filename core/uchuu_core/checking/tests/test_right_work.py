"""Right work is never flagged: what methods write gets no error, no doubt, at any density."""

import os
from random import Random
from typing import Any, get_args

import pytest
from gallery.__main__ import problems

from uchuu_core import check, problem_from
from uchuu_core.checking.context import context_of
from uchuu_core.contract import Density
from uchuu_core.methods.catalogue import applicable
from uchuu_core.methods.method import at_density
from uchuu_core.notation import plain
from uchuu_core.tests.support.problems import EQUATIONS, EXPRESSIONS

MANY = int(os.environ.get("UCHUU_WORKED", "1"))


def _records() -> list[Any]:
    kinds = {**EQUATIONS, **EXPRESSIONS}
    made = [kinds[kind](Random(f"{kind}{n}")) for kind in kinds for n in range(MANY)]
    found: list[dict[str, Any]] = [
        {"task": m.task, "given": m.given, "variable": m.variable, "numbers": m.numbers}
        for m in made
    ]
    return [pytest.param(record, id=str(record["given"])) for record in [*problems(), *found]]


@pytest.mark.parametrize("record", _records())
def test_no_line_of_a_method_is_doubted(record: dict[str, Any]) -> None:
    context = context_of(problem_from({**record, "method": None}), [])
    for method in applicable(context.posed, context.problem.task):
        for density in get_args(Density):
            moments = at_density(method.moments(context.posed), density)
            lines = [plain(moment.line) for moment in moments]
            found = check(problem_from({**record, "method": None, "lines": lines}))
            for line in found["lines"]:
                assert line["verdict"] in ("ok", "may-add"), (method.key, density, line["text"])
                assert "doubt" not in line, (method.key, density, line["text"], line["doubt"])
