"""Reasons of right lines, with the actual numbers; right lines in the place of wrong ones."""

import pytest

from uchuu_core import check, limits, problem_from
from uchuu_core.answers.checked import CheckedLine
from uchuu_core.checking.fingerprint import NoPrint, print_of
from uchuu_core.checking.paper import check_whole
from uchuu_core.checking.states import LawfulStates
from uchuu_core.kernel.equality import agreement
from uchuu_core.notation import plain, read
from uchuu_core.tree.shape import unordered


def _first_line(task: str, given: str, line: str) -> CheckedLine:
    record = {"task": task, "given": given, "lines": [line, line]}
    return check(problem_from(record))["lines"][0]


@pytest.mark.parametrize(
    ("task", "given", "line", "law", "says"),
    [
        ("solve", "5x - 3 = 12", "5x = 15", "add-on-both-sides", "Add 3 to both sides."),
        ("solve", "5x = 2x + 12", "3x = 12", "subtract-on-both-sides", "Subtract 2x from both"),
        ("solve", "5x - 25 = 2x", "3x = 25", "subtract-on-both-sides", "Add 25 to both sides and"),
        ("solve", "3x = 15", "x = 5", "divide-both-sides", "Divide both sides by 3."),
        (
            "solve",
            "(x+3)^2 = 16",
            "x+3 = 4 or x+3 = -4",
            "both-solutions",
            "Take the square root of both",
        ),
        ("solve", "2x + 3 = 11", "x = 4", "divide-both-sides", "Subtract 3 from both sides. Div"),
        ("solve", "3(x-4) = 15", "x-4 = 5", "divide-both-sides", "Divide both sides by 3."),
        ("solve", "x/4 = 3", "x = 12", "multiply-both-sides", "Multiply both sides by 4."),
        ("solve", "-x = 4", "x = -4", "multiply-both-sides", "Multiply both sides by −1."),
        ("solve", "4 = x", "x = 4", "turn-equation-round", "Write the side with x first."),
        ("solve", "2(x + 5) = 8", "2x + 10 = 8", "multiply-into-bracket", "every term"),
        ("solve", "x/3 + 2 = 7", "x + 6 = 21", "clear-denominators", "every term by the LCD, 3"),
        ("solve", "x/3+1/2 = 5", "2x/6+3/6 = 5", "multiply-by-one", "Multiply top and bottom by"),
        ("solve", "4 = 4", "all real numbers", "read-an-identity", "true whatever x is"),
        ("solve", "0 = 7", "no solution", "read-a-contradiction", "0 is never 7"),
        ("solve", "x = ±3", "x = 3 or x = -3", "both-solutions", "Write both solutions out."),
        ("solve", "x-2 = ±sqrt(5)", "x = 2±sqrt(5)", "add-on-both-sides", "Add 2 to both sides."),
        ("solve", "x^2+6x+9 = 16", "(x+3)^2 = 16", "perfect-square", "is the square of x + 3"),
        ("solve", "x^2-5x+6 = 0", "(x-2)(x-3) = 0", "sum-product", "their product is 6"),
        ("solve", "2/(x+1) = 3/(x-1)", "2(x-1) = 3(x+1)", "multiply-by-lcd", "LCD, (x + 1)(x − 1)"),
        ("solve", "3/x = 5/x", "3 = 5", "multiply-by-lcd", "Multiply every term by the LCD, x"),
        ("solve", "2sqrt(x) = 6", "sqrt(x) = 3", "divide-both-sides", "Divide both sides by 2."),
        (
            "solve",
            "sqrt(x+7) = x-5",
            "x+7 = x^2-10x+25",
            "collect-like-terms",
            "Square both sides as",
        ),
        ("evaluate", "23/6", "3 5/6", "improper-fraction", "23/6 is 3 5/6."),
        (
            "simplify",
            "3sqrt(8)+sqrt(50)",
            "3*2sqrt(2)+5sqrt(2)",
            "take-root-out",
            "Take the squares",
        ),
        ("factor", "2x^2+6x+x+3", "2x(x+3)+1(x+3)", "group", "common factor out of each pair."),
        ("evaluate", "18 - 3*5", "18 - 15", "multiply-numbers", "× before + and −: 3 × 5 is 15."),
        ("evaluate", "28 - 9 + 4", "19 + 4", "add-numbers", "from the left: 28 − 9 is 19."),
        ("evaluate", "2^3 + 4^2", "8 + 16", "work-out-power", "Powers first: 2³ is 8. 4² is 16."),
        ("evaluate", "5/6 + 3/8", "20/24 + 9/24", "common-denominator", "with the LCD, 24."),
        ("evaluate", "0.25 + 1/2", "1/4 + 1/2", "decimal-as-fraction", "Write decimals as"),
        ("evaluate", "(3+5)*2-1", "8*2-1", "add-numbers", "Brackets first: 3 + 5 is 8."),
        ("simplify", "6x - (x + 5)", "6x - x - 5", "take-minus-into-bracket", "every sign"),
        ("simplify", "9k + 7 - 8k", "k + 7", "collect-like-terms", "Like terms: 9k − 8k is k."),
        ("simplify", "x + 3", "3 + x", "reorder", "another order"),
        ("simplify", "sqrt(12)", "sqrt(4)sqrt(3)", "split-root", "product of the roots"),
        ("simplify", "sqrt(7)sqrt(7)", "7", "multiply-roots", "times itself"),
        ("simplify", "5/sqrt(3)", "5/sqrt(3)*sqrt(3)/sqrt(3)", "multiply-by-one", "√3/√3 is 1"),
        ("simplify", "(6+2sqrt(3))/4", "2(3+sqrt(3))/4", "common-factor", "factor, 2, out"),
        ("simplify", "(2sqrt(3))^2", "4*3", "power-of-product", "to every factor"),
        ("simplify", "(sqrt(3)+1)(sqrt(3)-1)", "3-1", "difference-of-squares", "the squares"),
        ("simplify", "(5-x)/(x-5)", "-1", "opposite-factors", "5 − x is the opposite of"),
        ("simplify", "(x+5)/x", "x/x+5/x", "divide-each-term", "every term of the top"),
        ("simplify", "2^x*3^x", "6^x", "power-of-product", "multiply the bases"),
        ("simplify", "x(x+1)+3(x+1)", "(x+1)(x+3)", "common-factor", "share a factor"),
        ("expand", "(y + 4)^2", "(y + 4)(y + 4)", "power-as-product", "as a product"),
    ],
)
def test_a_right_line_has_its_reason(task: str, given: str, line: str, law: str, says: str) -> None:
    found = _first_line(task, given, line)

    assert found["verdict"] in ("ok", "may-add")
    assert found["law"] == law
    assert says in found["says"]


@pytest.mark.parametrize(
    ("task", "given", "line", "instead"),
    [
        ("solve", "3(2x-5) = 9", "6x - 5 = 9", "6x - 15 = 9"),
        ("simplify", "5x - (2x - 7)", "5x - 2x - 7", "5x - 2x + 7"),
        ("evaluate", "7 - (-5)", "7 - 5", "7 + 5"),
        ("solve", "x + 7 = 19", "x = 19", "x = 19 - 7"),
        ("evaluate", "20 - 6*3", "14*3", "20 - 18"),
    ],
)
def test_the_right_line_stands_beside_the_wrong_one(
    task: str, given: str, line: str, instead: str
) -> None:
    error = _first_line(task, given, line)["error"]

    assert error is not None
    assert error["instead"] == instead


@pytest.mark.parametrize(
    ("task", "given", "line"),
    [
        ("solve", "3x = 9/2", "x = 9/2 - 3"),
        ("solve", "(2x)/3 + 4 = (x+10)/5 + 4", "10x + 4 = 3(x+10) + 4"),
    ],
)
def test_right_by_luck_has_a_doubt_and_no_law(task: str, given: str, line: str) -> None:
    found = _first_line(task, given, line)

    assert found["verdict"] == "ok"
    assert found["doubt"]
    assert "law" not in found


@pytest.mark.parametrize(
    ("given", "line", "says"),
    [
        ("x/4-4 = x/6+1", "3(x-16) = 2x+12", "Multiply every term by the LCD, 12."),
        ("x/2+3 = 5", "x+6 = 10", "Multiply every term by the LCD, 2."),
        ("x/2+x/3 = 5", "3x = 30-2x", "Subtract x/3 from both sides. Multiply both sides by 6."),
        ("2x+3 = 9", "x = 3", "Subtract 3 from both sides. Divide both sides by 2."),
        ("2x/3+4 = (x+10)/5+4", "10x+60 = 3x+90", "Multiply every term by the LCD, 15."),
    ],
)
def test_what_was_done_to_both_sides_is_what_stands_there(given: str, line: str, says: str) -> None:
    assert _first_line("solve", given, line)["says"] == says


def test_nobody_moves_a_number_out_of_nowhere() -> None:
    found = _first_line("solve", "2x/3+4 = (x+10)/5+4", "10x = 3x+30")

    assert "56/15" not in found.get("says", "")


def test_lawful_states_are_lawful_and_start_with_the_line_itself() -> None:
    line = read("18 - 3*(7 - 2)^2 + 4/2")

    states = list(LawfulStates(line))

    assert unordered(states[0]) == unordered(line)
    assert len(states) > 5
    assert len({repr(unordered(state)) for state in states}) == len(states)
    for state in states:
        assert agreement(line, state).verdict == "equal", plain(state)  # type: ignore[arg-type]


@pytest.mark.parametrize(
    ("one", "other", "same"),
    [
        ("2(x + 1)", "2x + 2", True),
        ("(x^2 - 1)/(x - 1)", "x + 1", True),
        ("1/3 + 1/6", "0.5", True),
        ("sqrt(2x)", "sqrt(x + x)", True),
        ("x^2", "x^3", False),
        ("sqrt(2)", "sqrt(3)", False),
    ],
)
def test_fingerprints_select_equal_expressions(one: str, other: str, same: bool) -> None:
    prints = [print_of(read(text)) for text in (one, other)]  # type: ignore[arg-type]

    assert (prints[0] == prints[1]) is same


def test_a_division_by_zero_has_no_fingerprint() -> None:
    with pytest.raises(NoPrint):
        print_of(read("1/(x - x)"))  # type: ignore[arg-type]


def test_a_long_paper_is_explained_part_by_part(monkeypatch: pytest.MonkeyPatch) -> None:
    lines = [f"{n}x = {7 * n}" for n in range(2, 30)] + [f"{n}x = {7 * n + 1}" for n in (3, 5)]
    record = {"task": "solve", "given": "x + 3 = 10", "lines": lines}
    whole = check(problem_from(record))["lines"]
    monkeypatch.setattr(limits, "EXPLAINED_PARTS", 40)

    answers = [check(problem_from(record))]
    while answers[-1]["unexplained"]:
        answers.append(check(problem_from(record | {"explained": answers[-1]["explained"]})))

    found, known = [], 0
    for answer in answers:
        assert answer["explained"] > known
        found += answer["lines"][known : answer["explained"]]
        known = answer["explained"]
    assert len(answers) > 2
    assert found == whole
    assert check(problem_from(record)) == answers[0]


def test_a_search_without_effort_names_nothing_and_the_verdict_stands(
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    monkeypatch.setattr(limits, "SEARCH_EFFORT", 0)
    record = {"task": "solve", "given": "17x + 3 = 88", "lines": ["17x = 91", "x = 91/17"]}

    wrong, right = check(problem_from(record))["lines"]

    assert (wrong["verdict"], wrong["error"]) == ("wrong", None)
    assert right["verdict"] == "ok"


@pytest.mark.slow  # many problems
def test_a_sum_of_many_terms_does_not_run_away() -> None:
    left = " + ".join(f"{n}x" for n in range(2, 40))

    found = _first_line("solve", f"{left} = 7", f"{left} = 9")

    assert found["verdict"] == "wrong"


def test_verdicts_come_without_reasons_and_are_the_same() -> None:
    record = {"task": "solve", "given": "3x + 1 = 7", "lines": ["3x = 6", "x = 6", "x = 6"]}
    whole = check(problem_from(record))

    found = check(problem_from(record | {"explains": False}))

    right, wrong, _ = found["lines"]
    assert "law" in whole["lines"][0]
    assert "law" not in right
    assert (wrong["verdict"], wrong["error"]) == ("wrong", None)
    assert wrong["counter"]
    for name in ("verdict", "proof", "role"):
        assert [line[name] for line in found["lines"]] == [line[name] for line in whole["lines"]]
    assert (found["first_wrong"], found["answer"]) == (whole["first_wrong"], whole["answer"])
    assert (found["explained"], found["unexplained"]) == (0, True)
    assert check_whole(problem_from(record | {"explains": False})) == whole


def test_what_the_asker_knows_counts_as_explained_whether_more_is_wanted_or_not() -> None:
    record = {"task": "solve", "given": "3x + 1 = 7", "lines": ["3x = 6", "x = 2"], "explained": 1}

    verdicts, rest = (check(problem_from(record | {"explains": is_so})) for is_so in (False, True))

    assert (verdicts["explained"], verdicts["unexplained"]) == (1, True)
    assert ["law" in line for line in rest["lines"]] == [False, True]
    assert (rest["explained"], rest["unexplained"]) == (2, False)


@pytest.mark.parametrize(
    ("task", "given", "lines", "says"),
    [
        (
            "factor",
            "6x^2+7x-3",
            ["6x^2+9x-2x-3", "(2x+3)(3x-1)"],
            [
                "6 · −3 = −18; 9 and −2 have this product and the sum 7: split the middle term.",
                "Take a common factor out of each pair. Take the common bracket, (2x + 3), out.",
            ],
        ),
        ("simplify", "(x^2-9)/(x^2+3x)", ["((x+3)(x-3))/(x(x+3))"], ["Factor top and bottom."]),
        (
            "domain",
            "1/(x-2)",
            ["x-2=0", "x=2"],
            [
                "A denominator must not be zero: find where it is.",
                "Where a factor is zero, a value is excluded.",
            ],
        ),
    ],
)
def test_a_line_that_a_method_writes_has_the_sentence_of_the_method(
    task: str, given: str, lines: list[str], says: list[str]
) -> None:
    answer = check(problem_from({"task": task, "given": given, "lines": lines}))

    assert [line["says"] for line in answer["lines"]] == says


@pytest.mark.parametrize(
    ("task", "given", "line", "says"),
    [
        ("solve", "y/6+1/4 = 2-y/3", "2y+3 = 24-4y", "Multiply every term by the LCD, 12."),
        ("solve", "x/4+x/6 = x-7", "3x+2x = 12x-84", "Multiply every term by the LCD, 12."),
        ("solve", "x/2-1/3 = 5/6", "-3x+2 = -5", "Multiply both sides by −6."),
        ("simplify", "x^2+5x+6", "(x+2)(x+3)", "3 and 2: their product is 6, their sum 5."),
        ("factor", "sqrt(72)", "6sqrt(2)", "36 is the largest square in it"),
        ("evaluate", "(2x-3)^2", "4x^2-12x+9", "Like terms: −6x − 6x is −12x."),
    ],
)
def test_a_reason_is_found_whatever_was_asked_and_the_lcd_comes_first(
    task: str, given: str, line: str, says: str
) -> None:
    assert says in _first_line(task, given, line)["says"]
