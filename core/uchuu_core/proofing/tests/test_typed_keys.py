"""A key of two pages as teachers type it, in three styles: no false alarm, and every planted slip is found."""

from collections.abc import Callable

import pytest

from uchuu_core.contract import Problem
from uchuu_core.proofing.items import key_of
from uchuu_core.proofing.proof import proof

Item = tuple[str, str, list[str], int, str]
"""Instruction, problem, right lines, the line that a slip replaces, the slip."""
Style = Callable[[list[Item]], str]

ITEMS: list[Item] = [
    ("Write each in lowest terms", "(x^2-4)/(x-2)", ["(x-2)(x+2)/(x-2)", "x+2"], 1, "x-2"),
    ("Write each in lowest terms", "(6x)/(9x^2)", ["2/(3x)"], 0, "2/3"),
    ("Write each in lowest terms", "x/6 ÷ x/9", ["x/6 * 9/x", "3/2"], 1, "2/3"),
    ("Simplify each expression", "√28 + √63", ["√28 = 2√7", "2√7 + 3√7", "5√7"], 2, "6√7"),
    ("Simplify each expression", "3(x+2) - 2x", ["3x + 6 - 2x", "x + 6"], 1, "x + 2"),
    ("Factor completely", "x^2 + 5x + 6", ["2 and 3", "(x+2)(x+3)"], 1, "(x+1)(x+6)"),
    ("Factor completely", "2x^2 - 18", ["2(x^2-9)", "2(x-3)(x+3)"], 1, "2(x-3)^2"),
    ("Factor completely", "x^2 + x + 1", ["prime"], 0, "(x+1)^2"),
    ("Expand", "(x+2)^4", ["x^4+8x^3+24x^2+32x+16"], 0, "x^4+16"),
    ("Solve each equation", "2x + 4 = 10", ["-4   -4", "2x = 6", "x = 3"], 2, "x = 7"),
    ("Solve each equation", "x^2 = 49", ["x = ±7"], 0, "x = 7"),
    ("Solve each equation", "√(x+6) = x",
     ["x+6 = x^2", "(x-3)(x+2) = 0", "x = 3, x = -2 (extraneous)"], 2, "x = 3 or x = -2"),
    ("Solve each equation", "3(x+1) = 3x + 5", ["3 = 5", "No solution."], 1, "x = 0"),
    ("Complete the square to solve", "x^2 + 6x = 7", ["x^2+6x+9 = 16", "x = 1 or x = -7"], 1, "x = 1 or x = 7"),
    ("State the domain", "1/(x-3)", ["all real numbers except x = 3"], 0, "x ≠ -3"),
    ("State the domain", "8/(x^2-4)", ["x^2-4 = (x-2)(x+2)", "x ≠ 2, x ≠ -2"], 1, "x ≠ 2"),
    ("Identify the asymptotes", "y = (x+2)/(x-8)", ["VA: x = 8", "HA: y = 1"], 1, "HA: y = 2"),
    ("Evaluate", "18 - 3*(7-2)", ["18 - 15", "3"], 1, "75"),
    ("Evaluate", "1/2 + 1/3", ["LCD 6", "3/6 + 2/6 = 5/6"], 1, "2/5"),
    ("Solve each equation", "2^x = 8", ["2^x = 2^3", "x = 3"], 1, "x = 4"),
]  # fmt: skip


def _sections(items: list[Item]) -> str:
    """``12.3  …`` under headings, lines indented; the title has no number."""
    written, heading = ["Unit 12 review, key", ""], ""
    for number, (instruction, given, lines, *_) in enumerate(items, 1):
        if instruction != heading:
            heading = instruction
            written.append(f"{heading}")
        written += [f"12.{number}  {given}", *(f"      {line}" for line in lines)]
    return "\n".join(written)


def _questions(items: list[Item]) -> str:
    """``Q4: Solve each equation: …`` with the instruction beside every problem, blank lines between."""
    parts = ["Practice test"]
    for number, (instruction, given, lines, *_) in enumerate(items, 1):
        parts.append("\n".join([f"Q{number}: {instruction}: {given}", *lines]))
    return "\n\n".join(parts)


def _numbered(items: list[Item]) -> str:
    """``7)`` and ``#8`` mixed; the instruction alone under the number, bullets before lines."""
    parts = []
    for number, (instruction, given, lines, *_) in enumerate(items, 1):
        head = f"{number})" if number % 2 else f"#{number}"
        parts.append(
            "\n".join([f"{head} {instruction}.", f"   {given}", *(f"   → {x}" for x in lines)])
        )
    return "\n".join(parts)


STYLES: tuple[Style, ...] = (_sections, _questions, _numbered)


@pytest.mark.parametrize("style", STYLES)
def test_a_right_key_raises_no_alarm(style: Style) -> None:
    text = style(ITEMS)
    found = proof(text, Problem("simplify", ""))["items"]

    assert [item["given"] for item in found] == [given for _, given, *_ in ITEMS]
    assert {item["given"]: item["status"] for item in found if item["status"] != "holds"} == {}
    if style is not _numbered:
        assert key_of(text).title in ("Unit 12 review, key", "Practice test")


@pytest.mark.parametrize("style", STYLES)
def test_every_planted_slip_is_found_and_nothing_else(style: Style) -> None:
    for start in range(3):
        items = [
            (instruction, given, [*lines[:place], slip, *lines[place + 1 :]], place, slip)
            if number % 3 == start
            else (instruction, given, lines, place, slip)
            for number, (instruction, given, lines, place, slip) in enumerate(ITEMS)
        ]
        found = proof(style(items), Problem("simplify", ""))["items"]

        faulty = [n for n, item in enumerate(found) if item["status"] in ("wrong", "unfinished")]
        assert faulty == [n for n in range(len(ITEMS)) if n % 3 == start]


def test_a_claim_of_equality_says_how_it_is_read() -> None:
    found = key_of("1. x^2 - 9 = (x-3)(x+3)\n2. 3x + 2 = x + 8\n   x = 3\n").items

    assert [(item.task, bool(item.reading)) for item in found] == [
        ("simplify", True),
        ("solve", False),
    ]


@pytest.mark.parametrize(
    ("text", "numbers"),
    [
        ("12.3 2x=6\n12.4 3x=6", ["12.3", "12.4"]),
        ("12) 2x=6\n13) 3x=6", ["12", "13"]),
        ("A  2x=6\n   x=3\nB  3x=6", ["A", "B"]),
        ("a) 2x=6\nb) 3x=6", ["a", "b"]),
        ("Q4: 2x=6\nQ5: 3x=6", ["4", "5"]),
        ("#7 2x=6\n#8 3x=6", ["7", "8"]),
        ("4. 2x=6\n5 (x+1)(x+2)=0\n6. 3x=6", ["4", "5", "6"]),
        ("1. Solve.\n a) 2x=6\n b) 3x=6\n2. Factor.\n a) x^2-1", ["1a", "1b", "2a"]),
        ("2.5x = 5\nx = 2", [""]),
    ],
)
def test_items_begin_in_every_usual_way(text: str, numbers: list[str]) -> None:
    assert [item.number for item in key_of(text).items] == numbers


def test_an_instruction_alone_ends_the_item_before_it() -> None:
    first, second = key_of("1. Solve x^2 = 9\nx = ±3\nFactor\n2. x^2 - 9\n(x-3)(x+3)").items

    assert (first.lines, second.task) == (["x = ±3"], "factor")
