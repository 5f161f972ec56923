"""What holds of every paper: marks within bounds, whatever is written; nobody pays for what nobody decided."""

from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from uchuu_core.marking.ways import ways
from uchuu_core.operations import answer as ask
from uchuu_core.placing.explaining import explaining_of
from uchuu_core.tests.support.quick import examples

PROBLEM = {"task": "solve", "given": "3(x - 2) = 15"}
LINES = (
    ["3x - 6 = 15", "3x = 21", "x = 7", "x - 2 = 5", "3x - 2 = 15", "3x = 17", "x = 17/3"]
    + ["3x = 9", "x = 3", "x = 3 or x = 7", "no solution", "check", "3(7 - 2) = 15", "x = 7 !"]
)  # fmt: skip
UNREAD = ("x = = 7", "3x ( = 2", "@")
SCHOOLS = st.sampled_from(["method-accuracy", "deductions"])
PAPERS = st.lists(st.sampled_from(LINES), max_size=5)


def mark(lines: list[str], **more: Any) -> dict[str, Any]:
    found = ask("mark", {**PROBLEM, "lines": lines, **more})
    assert "failure" not in found, (lines, found)
    return found


def forget() -> None:
    """Make everything that is remembered between papers unknown."""
    ways.cache_clear()
    explaining_of.cache_clear()


@given(PAPERS, SCHOOLS, st.integers(1, 9), st.booleans())
@examples(60)
def test_marks_lie_between_nothing_and_all(
    lines: list[str], school: str, worth: int, follows: bool
) -> None:
    found = mark(lines, school=school, worth=worth, accuracy_follows=follows)
    assert 0 <= found["earned"] <= found["of"] == worth
    assert found["earned"] == max(0, sum(one["earned"] for one in found["marks"]))
    for one in found["marks"]:
        assert one["because"].endswith(".")
        assert 1 <= one.get("line", 1) <= max(1, len(lines))
    if not lines:
        assert found["earned"] == 0


@given(PAPERS, st.sampled_from(UNREAD), st.integers(0, 5))
@examples(60)
def test_a_line_that_cannot_be_read_asks_and_costs_nothing(
    lines: list[str], unread: str, place: int
) -> None:
    place = min(place, len(lines))
    with_it = mark([*lines[:place], unread, *lines[place:]])
    assert [one for one in with_it["ask"] if one.get("line") == place + 1]
    assert with_it["earned"] >= mark(lines)["earned"]


@given(st.lists(PAPERS, min_size=2, max_size=4), SCHOOLS)
@examples(20)
def test_marks_do_not_depend_on_the_order_of_papers(papers: list[list[str]], school: str) -> None:
    forget()
    first = [mark(lines, school=school) for lines in papers]
    forget()
    again = [mark(lines, school=school) for lines in reversed(papers)]
    assert first == again[::-1]


@given(PAPERS)
@examples(40)
def test_an_answer_that_follows_never_earns_less(lines: list[str]) -> None:
    assert mark(lines, accuracy_follows=True)["earned"] >= mark(lines)["earned"]


@given(PAPERS)
@examples(40)
def test_the_scheme_that_is_made_marks_as_the_same_scheme_given_back(lines: list[str]) -> None:
    made = ask("scheme", {**PROBLEM, "worth": 5})
    by_hand = mark(lines, scheme=made)
    assert by_hand["marks"] == mark(lines, worth=5)["marks"]


def place(answers: list[str]) -> list[dict[str, Any]]:
    groups: list[dict[str, Any]] = ask("place", {**PROBLEM, "answers": answers})["groups"]
    return groups


ANSWERS = st.lists(
    st.sampled_from(
        [
            "7",
            "x = 7",
            "7.0",
            "14/2",
            "17/3",
            "5 2/3",
            "3",
            "9",
            "",
            "-",
            "B",
            "who knows",
            "3x = 21",
        ]
    ),
    min_size=1,
    max_size=9,
)


@given(ANSWERS, st.randoms(use_true_random=False))
@examples(40)
def test_groups_do_not_depend_on_the_order_of_answers(answers: list[str], chance: Any) -> None:
    order = list(range(len(answers)))
    chance.shuffle(order)
    shuffled = [answers[n] for n in order]

    def parted(groups: list[dict[str, Any]], names: list[int]) -> set[tuple[Any, ...]]:
        return {
            (
                group["where"],
                frozenset(names[n] for n in group["members"]),
                tuple((error["id"], error["after"]) for error in group["errors"]),
            )
            for group in groups
        }

    assert parted(place(answers), list(range(len(answers)))) == parted(place(shuffled), order)
