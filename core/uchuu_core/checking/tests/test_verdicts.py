"""Verdicts on unusual but ordinary school work: each was once a question of what is right."""

from typing import Any

import pytest

from uchuu_core import check, problem_from

PAPERS: list[tuple[str, str, list[str], list[str], dict[str, Any]]] = [
    ("solve", "x^2=16", ["x=4 or x=-4"], ["ok"], {}),
    ("solve", "x^2=16", ["x=+-4"], ["ok"], {}),
    ("solve", "x^2=16", ["x=4, -4"], ["ok"], {}),
    ("solve", "x^2=16", ["x_1=4, x_2=-4"], ["ok"], {}),
    ("solve", "x^2=16", ["x1=4"], ["unreadable"], {}),
    ("solve", "x^2=16", ["{4,-4}"], ["ok"], {}),
    ("solve", "x^2=16", ["4, -4"], ["ok"], {}),
    ("solve", "x^2=16", ["4 or -4"], ["ok"], {}),
    ("solve", "x^2=16", ["x=4"], ["loses"], {}),
    ("solve", "x^2=16", ["x=sqrt(16)", "x=4"], ["loses", "ok"], {}),
    (
        "solve",
        "x^2-4x+13=0",
        ["x=(4+-sqrt(16-52))/2", "x=(4+-sqrt(-36))/2", "no solution"],
        ["ok", "ok", "ok"],
        {},
    ),
    (
        "solve",
        "x^2-4x+13=0",
        ["x=(4+-sqrt(16-52))/2", "x=(4+-6i)/2", "x=2+-3i"],
        ["ok", "ok", "ok"],
        {"numbers": "complex"},
    ),
    (
        "solve",
        "x^2-4x+13=0",
        ["x=(4+-sqrt(-36))/2", "x=(4+-6i)/2", "x=2+-6i"],
        ["ok", "ok", "wrong"],
        {"numbers": "complex"},
    ),
    (
        "solve",
        "x^2+9=0",
        ["x^2=-9", "x=+-sqrt(-9)", "x=+-3i"],
        ["ok", "ok", "ok"],
        {"numbers": "complex"},
    ),
    ("solve", "x^2+9=0", ["x^2=-9", "x=+-3"], ["ok", "wrong"], {}),
    ("solve", "(x-3)^2=-2", ["x-3=+-sqrt(-5)"], ["wrong"], {}),
    ("solve", "sqrt(x)=-3", ["x=9", "no solution"], ["may-add", "ok"], {}),
    ("solve", "sqrt(x)=-3", ["no solution"], ["ok"], {}),
    ("solve", "sqrt(x)=-3", ["x=9"], ["wrong"], {}),
    ("solve", "sqrt(x+1)=-3", ["x+1=9", "x=8"], ["may-add", "wrong"], {}),
    (
        "solve",
        "sqrt(x-1)=x-3",
        [
            "x-1=x^2-6x+9",
            "0=x^2-7x+10",
            "0=(x-5)(x-2)",
            "x=5 or x=2",
            "sqrt(5-1)=5-3",
            "sqrt(2-1)=2-3",
            "x=5",
        ],
        ["may-add", "ok", "ok", "ok", "ok", "wrong", "ok"],
        {},
    ),
    ("solve", "sqrt(x-1)=x-3", ["x-1=(x-3)^2", "x=5"], ["may-add", "ok"], {}),
    ("solve", "|x-3|=5", ["x-3=5 or x-3=-5", "x=8 or x=-2"], ["ok", "ok"], {}),
    ("solve", "|x-3|=5", ["x-3=5", "x=8"], ["loses", "ok"], {}),
    ("solve", "|x-3|=-5", ["no solution"], ["ok"], {}),
    (
        "solve",
        "|2x+1|=x-4",
        ["2x+1=x-4 or 2x+1=-(x-4)", "x=-5 or x=1", "no solution"],
        ["may-add", "ok", "ok"],
        {},
    ),
    ("solve", "x^3=8", ["x=2"], ["ok"], {}),
    ("solve", "x^3=8", ["x=cbrt(8)", "x=2"], ["ok", "ok"], {}),
    ("solve", "x^4=16", ["x^2=4", "x=+-2"], ["ok", "ok"], {}),
    ("solve", "x^4=16", ["x^2=+-4", "x=+-2"], ["ok", "ok"], {}),
    (
        "solve",
        "x^4-5x^2+4=0",
        ["(x^2-1)(x^2-4)=0", "x^2=1 or x^2=4", "x=+-1 or x=+-2"],
        ["ok", "ok", "ok"],
        {},
    ),
    (
        "solve",
        "x^4-5x^2+4=0",
        ["u^2-5u+4=0", "u=1 or u=4", "x^2=1 or x^2=4", "x=+-1, +-2"],
        ["ok", "ok", "ok", "ok"],
        {},
    ),
    ("solve", "x^(2/3)=4", ["x^2=64", "x=+-8"], ["ok", "ok"], {}),
    ("solve", "x^(3/2)=8", ["x=8^(2/3)", "x=4"], ["ok", "ok"], {}),
    ("solve", "x^(2/3)=4", ["x=4^(3/2)", "x=8"], ["loses", "ok"], {}),
    ("solve", "2^x=32", ["2^x=2^5", "x=5"], ["ok", "ok"], {}),
    ("solve", "4^x=8", ["2^(2x)=2^3", "2x=3", "x=3/2"], ["ok", "ok", "ok"], {}),
    (
        "solve",
        "9^x-4*3^x+3=0",
        ["u^2-4u+3=0", "u=1 or u=3", "3^x=1 or 3^x=3", "x=0 or x=1"],
        ["ok", "ok", "ok", "ok"],
        {},
    ),
    (
        "solve",
        "9^x-4*3^x+3=0",
        ["(3^x-1)(3^x-3)=0", "3^x=1 or 3^x=3", "x=0 or x=1"],
        ["ok", "ok", "ok"],
        {},
    ),
    ("solve", "2^x=5", ["x=5/2"], ["wrong"], {}),
    (
        "solve",
        "1/(x-2)+1/(x+2)=4/(x^2-4)",
        ["x+2+x-2=4", "2x=4", "x=2", "no solution"],
        ["may-add", "ok", "ok", "ok"],
        {},
    ),
    ("solve", "1/(x-2)=3", ["x != 2", "1=3(x-2)", "x=7/3"], ["ok", "may-add", "ok"], {}),
    ("solve", "1/(x-2)=3", ["x != 3", "1=3(x-2)", "x=7/3"], ["wrong", "may-add", "ok"], {}),
    ("solve", "(x-5)/(x-5)=1", ["1=1", "all real numbers"], ["may-add", "wrong"], {}),
    ("solve", "(x-5)/(x-5)=1", ["1=1", "all real numbers except 5"], ["may-add", "ok"], {}),
    ("solve", "(x-5)/(x-5)=1", ["x-5=x-5", "all except excluded"], ["may-add", "ok"], {}),
    ("solve", "2(x+1)=2x+2", ["all real numbers"], ["ok"], {}),
    ("solve", "x/(x^2+1)=1/2", ["2x=x^2+1", "0=(x-1)^2", "x=1"], ["may-add", "ok", "ok"], {}),
    ("solve", "x^2=7", ["x=+-sqrt(7)"], ["ok"], {}),
    ("solve", "x^2=12", ["x=+-sqrt(12)"], ["unfinished"], {}),
    ("solve", "x^2=12", ["x=+-2sqrt(3)"], ["ok"], {}),
    (
        "solve",
        "x^2=1/2",
        ["x=+-sqrt(1/2)", "x=+-1/sqrt(2)", "x=+-sqrt(2)/2"],
        ["ok", "ok", "ok"],
        {},
    ),
    ("solve", "2x+1=7", ["2x=6=x=3"], ["wrong"], {}),
    ("evaluate", "3+4*2", ["4*2=8+3=11"], ["wrong"], {}),
    ("evaluate", "(3+4)*2", ["3+4=7*2=14"], ["wrong"], {}),
    ("evaluate", "3*5+2", ["=15+2", "=17"], ["ok", "ok"], {}),
    ("solve", "a*x^2+b*x+c=0", ["x=(-b+-sqrt(b^2-4a*c))/(2a)"], ["ok"], {"variable": "x"}),
    ("solve", "a*x^2+b*x+c=0", ["x=(b+-sqrt(b^2-4a*c))/(2a)"], ["wrong"], {"variable": "x"}),
    ("solve", "v^2=u^2+2a*s", ["v=+-sqrt(u^2+2a*s)"], ["ok"], {"variable": "v"}),
    (
        "solve",
        "c=sqrt(a^2+b^2)",
        ["c^2=a^2+b^2", "b^2=c^2-a^2", "b=+-sqrt(c^2-a^2)"],
        ["may-add", "ok", "ok"],
        {"variable": "b"},
    ),
    (
        "solve",
        "1/f=1/p+1/q",
        ["p*q=f*q+f*p", "q(p-f)=f*p", "q=(f*p)/(p-f)"],
        ["may-add", "ok", "ok"],
        {"variable": "q"},
    ),
    ("simplify", "sqrt(50x^2)", ["5x*sqrt(2)"], ["wrong"], {}),
    ("simplify", "sqrt(50x^2)", ["5|x|sqrt(2)"], ["ok"], {}),
    ("simplify", "sqrt(50x^2)", ["5x*sqrt(2)"], ["ok"], {"house": {"radicals": "non-negative"}}),
    ("simplify", "sqrt(x^6)", ["x^3"], ["wrong"], {}),
    ("simplify", "sqrt(x^6)", ["|x|^3"], ["ok"], {}),
    ("simplify", "sqrt(x^6)", ["|x^3|"], ["ok"], {}),
    ("simplify", "root(4,x^8)", ["x^2"], ["ok"], {}),
    ("simplify", "cbrt(x^3)", ["x"], ["ok"], {}),
    ("simplify", "sqrt(x)*sqrt(x^3)", ["sqrt(x^4)", "x^2"], ["ok", "ok"], {}),
    ("simplify", "sqrt(-9)", ["3i"], ["ok"], {"numbers": "complex"}),
    ("evaluate", "sqrt(9-25)", ["sqrt(-16)", "no real value"], ["ok", "ok"], {}),
    ("evaluate", "sqrt(9-25)", ["sqrt(-16)", "-4"], ["ok", "wrong"], {}),
    ("evaluate", "5/(2-2)", ["5/0", "undefined"], ["unproved", "ok"], {}),
    ("factor", "x^2+9", ["prime"], ["ok"], {}),
    ("factor", "x^2-9", ["prime"], ["wrong"], {}),
    ("factor", "2x^2+8", ["prime"], ["wrong"], {}),
    ("factor", "x^2+9", ["(x+3)^2"], ["wrong"], {}),
    ("factor", "x^4-16", ["(x^2-4)(x^2+4)"], ["unfinished"], {}),
    ("factor", "x^4-16", ["(x-2)(x+2)(x^2+4)"], ["ok"], {}),
    ("factor", "x^2-2", ["x^2-2"], ["ok"], {}),
    ("factor", "6-3x", ["3(2-x)"], ["ok"], {}),
    ("factor", "6-3x", ["-3(x-2)"], ["ok"], {}),
    ("factor", "x^2/4-1", ["(x/2-1)(x/2+1)"], ["ok"], {}),
    ("simplify", "(x^2-9)/(x-3)", ["x+3"], ["ok"], {}),
    ("simplify", "2/x+3/y", ["(2y+3x)/(x*y)"], ["ok"], {}),
    ("simplify", "((1/x)-(1/3))/(x-3)", ["(3-x)/(3x(x-3))", "-1/(3x)"], ["ok", "ok"], {}),
    ("simplify", "(x^(-1)+y^(-1))^(-1)", ["x+y"], ["wrong"], {}),
    ("simplify", "(x^(-1)+y^(-1))^(-1)", ["(x*y)/(x+y)"], ["ok"], {}),
    ("domain", "sqrt(x-3)", ["x>=3"], ["ok"], {}),
    ("domain", "sqrt(x-3)", ["x>3"], ["wrong"], {}),
    ("domain", "1/sqrt(x-3)", ["x>3"], ["ok"], {}),
    (
        "domain",
        "(x+5)/(x^2-x-12)",
        ["x^2-x-12=0", "(x-4)(x+3)=0", "x=4 or x=-3", "all real numbers except -3 and 4"],
        ["ok"] * 4,
        {},
    ),
    ("domain", "1/(x^2+1)", ["all real numbers"], ["ok"], {}),
    ("domain", "sqrt(4-x^2)", ["-2<=x<=2"], ["ok"], {}),
    ("domain", "x/(x^2-2)", ["x != sqrt(2), x != -sqrt(2)"], ["ok"], {}),
    ("domain", "x/(x^2-2)", ["x != +-sqrt(2)"], ["ok"], {}),
    ("domain", "sqrt(x^2-4)", ["x<=-2 or x>=2"], ["ok"], {}),
    ("domain", "sqrt(x^2-4)", ["-2<=x<=2"], ["wrong"], {}),
    ("domain", "1/(x-1)+sqrt(x)", ["x>=0, x!=1"], ["ok"], {}),
    ("domain", "1/(x-1)+sqrt(x)", ["x>=0"], ["wrong"], {}),
    ("domain", "1/(x*y)", ["x != 0, y != 0"], ["ok"], {}),
    ("domain", "1/(x-y)", ["x != y"], ["ok"], {}),
]


@pytest.mark.parametrize(("task", "given", "lines", "verdicts", "more"), PAPERS)
def test_verdicts_on_ordinary_school_work(
    task: str, given: str, lines: list[str], verdicts: list[str], more: dict[str, Any]
) -> None:
    record = {"task": task, "given": given, "lines": lines, "explains": False, **more}
    answer = check(problem_from(record))

    assert [line["verdict"] for line in answer["lines"]] == verdicts


def test_an_equals_sign_that_says_then_gets_a_note() -> None:
    for given, line in (("2x+1=7", "2x=6=x=3"), ("(3+4)*2", "3+4=7*2=14")):
        task = "solve" if "x" in given else "evaluate"
        answer = check(problem_from({"task": task, "given": given, "lines": [line]}))
        assert "then" in answer["lines"][0]["note"]
    answer = check(problem_from({"task": "solve", "given": "2x=6", "lines": ["x=6/2=3"]}))
    assert "note" not in answer["lines"][0]


def test_a_house_assumption_is_stated_on_the_line_that_needs_it() -> None:
    house = {"radicals": "non-negative"}
    record = {"task": "simplify", "given": "sqrt(50x^2)", "house": house}
    answer = check(problem_from({**record, "lines": ["sqrt(25*2x^2)", "5x*sqrt(2)"]}))

    assert "if" not in answer["lines"][0]
    assert answer["lines"][1]["if"] == ["x >= 0"]


def test_roots_that_go_or_come_change_the_domain_and_it_is_said() -> None:
    answer = check(
        problem_from({"task": "simplify", "given": "sqrt(x)*sqrt(x)", "lines": ["x", "sqrt(x)^2"]})
    )

    assert [line["if"] for line in answer["lines"]] == [["x >= 0"], ["x >= 0"]]


def test_a_candidate_that_fails_is_rejected_with_its_numbers() -> None:
    lines = ["x+6=x^2", "x=3 or x=-2", "x=3"]
    answer = check(problem_from({"task": "solve", "given": "sqrt(x+6)=x", "lines": lines}))

    assert answer["lines"][2]["says"] == "x = -2 fails in the given and is left out."
    found = {check["value"]: check for check in answer["checks"]}
    assert found["x = 3"]["holds"]
    assert (found["x = -2"]["left"], found["x = -2"]["right"]) == ("2", "-2")
    assert found["x = -2"]["says"] == "does not balance"


def test_an_excluded_candidate_is_rejected_because_it_divides_by_zero() -> None:
    record = {"task": "solve", "given": "x/(x-2)=2/(x-2)+3"}
    answer = check(problem_from({**record, "lines": ["x=2+3(x-2)", "x=2", "no solution"]}))

    (found,) = answer["checks"]
    assert (found["value"], found["says"]) == ("x = 2", "undefined: divides by zero")


def test_a_wrong_domain_says_at_which_value() -> None:
    record = {"task": "domain", "given": "(2y+6)/(y^2-9)", "lines": ["y != 3"]}
    answer = check(problem_from(record))

    assert (
        answer["lines"][0]["says"] == "At y = -3 the given has no value, but this line allows it."
    )
    assert not answer["answer"]["right"]
    right = check(problem_from({**record, "lines": ["y != 3, y != -3"]}))
    assert right["answer"]["right"]
