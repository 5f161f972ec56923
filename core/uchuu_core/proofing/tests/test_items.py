"""Items are found in keys as teachers write them; nothing that was written is lost."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.failures import TooLarge
from uchuu_core.proofing.items import MOST_ITEMS, items_of

PLAIN = """Sheet 7, key

Solve each equation.
1. 3(x - 2) = 9     x = 5
2) x^2 = 49, x = 7
(3) Solve for y: 2y + 1 = 9 → y = 4
   Subtract 1 from both sides.
#4. 5a = 10
   5a/5 = 10/5
   Answer: a = 2

Factor completely.
5. x^2 - 49 = (x - 7)(x + 7)
6. sqrt(16) + sqrt(9)  a) 7  b) 5
   Answer: a
"""
LATEX = r"""\documentclass{article}
\begin{document}
\section*{Solve each equation.}
\begin{enumerate}
  \item $\frac{x}{2} = 3$ % a comment
    \[ x = 6 \]
  \item \(x^2 - 7x + 12 = 0\) \\ $(x-3)(x-4) = 0$ \\ $x = 3$ or $x = 4$
\end{enumerate}
\end{document}
"""


def test_numbers_instructions_answers_and_choices_are_told_apart() -> None:
    found = items_of(PLAIN)

    assert [item.number for item in found] == ["1", "2", "3", "4", "5", "6"]
    assert [item.task for item in found] == ["solve"] * 4 + ["factor"] * 2
    assert [item.given for item in found] == [
        "3(x - 2) = 9",
        "x^2 = 49",
        "2y + 1 = 9",
        "5a = 10",
        "x^2 - 49",
        "sqrt(16) + sqrt(9)",
    ]
    assert found[2].notes == ["Subtract 1 from both sides."]
    assert found[3].lines == ["5a/5 = 10/5", "a = 2"]
    assert found[4].lines == ["(x - 7)(x + 7)"]
    assert (found[5].options, found[5].chosen) == ([("a", "7"), ("b", "5")], "a")


def test_lists_in_latex_are_read() -> None:
    first, second = items_of(LATEX)

    assert (first.task, first.given, first.lines) == ("solve", r"\frac{x}{2} = 3", ["x = 6"])
    assert second.lines == ["(x-3)(x-4) = 0", "x = 3  or  x = 4"]


@pytest.mark.parametrize(
    ("text", "task"),
    [
        ("1. Simplify 6/8", "simplify"),
        ("1. Evaluate: 2 + 3*4", "evaluate"),
        ("1. Find the domain of 1/(x - 3)", "domain"),
        ("1. Expand and simplify (x + 3)^2", "expand"),
        ("1. Factor x^2 - 9 over the integers", "factor"),
        ("1. 2 + 3*4", "evaluate"),
        ("1. x + x", "simplify"),
        ("1. x + 1 = 3", "solve"),
    ],
)
def test_the_task_is_what_the_words_or_the_look_say(text: str, task: str) -> None:
    assert items_of(text)[0].task == task


@given(st.text(max_size=400))
def test_any_text_is_taken_apart_without_failing(text: str) -> None:
    for item in items_of(text):
        assert item.at >= 1


def test_too_much_is_refused_with_the_bound() -> None:
    with pytest.raises(TooLarge, match="items"):
        items_of("\n".join(f"{n}. x = 1" for n in range(1, MOST_ITEMS + 3)))
    with pytest.raises(TooLarge, match="characters"):
        items_of("x" * 300_000)
