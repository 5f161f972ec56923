"""However a key is set out, the same problems and lines are found in it."""

from dataclasses import dataclass

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core import Problem, proof, work
from uchuu_core.proofing.items import items_of
from uchuu_core.tests.support.quick import examples

PROBLEMS = (
    ("solve", "3(x - 2) = 9", "Solve"),
    ("solve", "x^2 - 7x + 12 = 0", "Solve for x"),
    ("factor", "6x^2 + 7x - 3", "Factor completely"),
    ("simplify", "sqrt(28) + sqrt(63)", "Simplify"),
    ("expand", "(2x - 5)^2", "Expand"),
    ("evaluate", "18 - 3*(7 - 2)", "Evaluate"),
    ("domain", "(x + 5)/(x^2 - x - 12)", "Find the domain of"),
)
WORKED = {
    text: [line["text"] for line in work(Problem(task, text))["lines"]]  # type: ignore[arg-type]
    for task, text, _ in PROBLEMS
}


@dataclass(frozen=True)
class Style:
    """How a writer sets a key out."""

    number: str
    instruction: str
    answer: str
    indent: str
    blank: str
    end: str


STYLES = st.builds(
    Style,
    number=st.sampled_from(["{}. ", "{}) ", "({}) ", "#{}. ", "Problem {}: ", "  {}.  "]),
    instruction=st.sampled_from(["{}: ", "{} "]),
    answer=st.sampled_from(["Answer: ", "Ans. ", "→ ", "=> ", "", "   ", "Key: "]),
    indent=st.sampled_from(["", "   ", "\t", "  • "]),
    blank=st.sampled_from(["\n", "\n\n"]),
    end=st.sampled_from(["\n", "\r\n"]),
)


def _key(style: Style, chosen: list[int], whole: bool) -> str:
    items = []
    for number, index in enumerate(chosen, start=1):
        _, text, verb = PROBLEMS[index]
        head = style.number.format(number) + style.instruction.format(verb) + text
        *between, answer = WORKED[text]
        lines = [style.indent + line for line in between] if whole else []
        items.append("\n".join([head, *lines, style.indent + style.answer + answer]))
    return style.blank.join(items).replace("\n", style.end)


@given(
    STYLES, st.lists(st.sampled_from(range(len(PROBLEMS))), min_size=1, max_size=6), st.booleans()
)
@examples(150)
def test_problems_and_lines_are_found_in_every_style(
    style: Style, chosen: list[int], whole: bool
) -> None:
    found = items_of(_key(style, chosen, whole))

    assert [(item.task, item.given) for item in found] == [PROBLEMS[n][:2] for n in chosen]
    for item, index in zip(found, chosen, strict=True):
        lines = WORKED[PROBLEMS[index][1]]
        assert item.lines == (lines if whole else lines[-1:])


@given(STYLES, st.sampled_from(range(len(PROBLEMS))))
@examples(25)
def test_a_right_key_holds_in_every_style(style: Style, index: int) -> None:
    report = proof(_key(style, [index], True), Problem("simplify", ""))

    assert [item["status"] for item in report["items"]] == ["holds"]


@pytest.mark.parametrize("separator", ["   ", "\t", " → ", " => ", "   Answer: "])
def test_an_answer_on_the_same_line_is_told_from_the_problem(separator: str) -> None:
    text = "\n".join(
        f"{n}. {verb}: {given}{separator}{WORKED[given][-1]}"
        for n, (_, given, verb) in enumerate(PROBLEMS, start=1)
    )

    found = items_of(text)

    assert [(item.given, item.lines) for item in found] == [
        (given, WORKED[given][-1:]) for _, given, _ in PROBLEMS
    ]
