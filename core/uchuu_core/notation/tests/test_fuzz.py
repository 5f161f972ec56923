"""Random and mutated input: a tree or a sentence, never a crash; what is read is written back.

CI takes some thousands; the long suite (``./uchuu test long``) takes ``UCHUU_FUZZ`` of them.
"""

import json
import os
import random
import time

import pytest

from uchuu_core import check, limits, problem_from
from uchuu_core.failures import Failure
from uchuu_core.notation import latex, mathml, plain, read, spoken, typst
from uchuu_core.tests.support.cases import cases

INPUTS = int(os.environ.get("UCHUU_FUZZ", "3000"))
SHARES = 4
BUDGET = 10.0
"""Seconds that no call may take, on any machine: a runaway, not slowness, is looked for."""
_PIECES = [
    *"0123456789xyzabi+-*/^()[]{}|=<>.,÷·√∛±≠≤≥²³½ \\_;&%$#@!~'\"\n\té𝑥٣\u200bℝ∞\x00",
    "sqrt(", "cbrt(", "root(", "abs(", "\\frac", "\\sqrt", "\\left(", "\\right)", "\\pm", "^{",
    *"θπΔжאلक数ßſKıÅ∪∩∈∅∴⇒≈✓✗~:?", " extraneous", " (rejected)", "check: ", "=>", "~~", "(-∞, ",
    "{x | ", "log_2(", "ln ", "sin(", " | -4", "S = {", "VA: ", "D: ", "R \\ {", "as x → ∞, y → ",
    "_{1}", "x_1", "\\text{or}", " or ", "no solution", "+-", "!=", "all real numbers except ",
]  # fmt: skip


def _texts() -> list[str]:
    found = [t for case in cases("check") for t in (case["given"], *case["lines"]) if ":" not in t]
    return found + [latex(read(text)) for text in found[::3]]


def _mutated(chance: random.Random, texts: list[str]) -> str:
    if chance.random() < 0.3:
        return "".join(chance.choice(_PIECES) for _ in range(chance.randint(0, 40)))
    text = chance.choice(texts)
    for _ in range(chance.randint(1, 4)):
        one, other = sorted((chance.randint(0, len(text)), chance.randint(0, len(text))))
        match chance.randrange(4):
            case 0:
                text = text[:one] + chance.choice(_PIECES) + text[one:]
            case 1:
                text = text[:one] + text[one + 1 :]
            case 2:
                text = text[:other] + text[one:other] + text[other:]
            case _:
                text = text[:one] + chance.choice(texts)[: chance.randint(0, 12)] + text[one:]
    return text


@pytest.mark.parametrize("share", range(SHARES))
def test_whatever_is_typed_is_read_or_refused_with_a_sentence(share: int) -> None:
    texts, chance = _texts(), random.Random(share)
    for _ in range(INPUTS // SHARES):
        text = _mutated(chance, texts)
        try:
            line = read(text)
        except Failure as refusal:
            assert refusal.message.endswith((".", "”")), text
            assert refusal.at is None or 0 <= refusal.at <= len(text), text
            continue
        assert spoken(line) and mathml(line) and typst(line)
        for written, notation in ((plain(line), "plain"), (latex(line), "latex")):
            if len(written) <= limits.CHARACTERS:
                assert read(written, notation) == line, text  # type: ignore[arg-type]


@pytest.mark.parametrize("share", range(SHARES))
def test_whatever_is_typed_is_judged_within_its_time(share: int) -> None:
    texts, chance = _texts(), random.Random(100 + share)
    tasks = ["solve", "simplify", "evaluate", "factor", "domain", "expand"]
    for _ in range(INPUTS // SHARES // 10):
        given = _mutated(chance, texts)
        record = {
            "task": chance.choice(tasks),
            "given": given,
            "lines": [_mutated(chance, [given]), _mutated(chance, texts)],
            "numbers": chance.choice(["real", "real", "complex"]),
            "explains": False,
        }
        started = time.monotonic()
        try:
            answer = check(problem_from(record))
        except Failure:
            continue
        assert [line["text"] for line in answer["lines"]] == record["lines"]
        json.dumps(answer)
        assert time.monotonic() - started < BUDGET, record
