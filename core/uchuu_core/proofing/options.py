"""The choices of a multiple-choice item: which are right, which are the same, which error each stands for."""

from uchuu_core.answers.proofed import Option
from uchuu_core.checking.bare_answers import as_answer
from uchuu_core.checking.context import Context, context_of
from uchuu_core.checking.own_errors import wording_of
from uchuu_core.checking.paper import check
from uchuu_core.checking.steps import same_end
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.forking.example import read_example
from uchuu_core.forking.forks import MOST_ASKED, Fork, forks_of
from uchuu_core.tree.nodes import Line


def judged_options(
    problem: Problem, options: list[tuple[str, str]], chosen: str
) -> tuple[list[Option], list[str]]:
    """Return a record for each choice, and what is wrong with the item as sentences.

    ``{"letter","text","right","error"?,"name"?,"failure"?}``; ``right`` is None where it is not decided.
    """
    context = context_of(problem, [])
    trees: dict[str, Line] = {}
    records: list[Option] = []
    for letter, text in options:
        record: Option = {"letter": letter, "text": text, "right": None}
        try:
            trees[letter] = problem.read(as_answer(text, context))
            record["right"] = _is_right(text, context)
        except Failure as failure:
            record["failure"] = failure.as_record()
        records.append(record)
    _name_errors(records, trees, context)
    return records, _faults(records, trees, context, chosen)


def _is_right(text: str, context: Context) -> bool | None:
    found = check(context.problem_with([as_answer(text, context)]))
    verdict, answer = found["lines"][0]["verdict"], found["answer"]
    if verdict in ("wrong", "loses") or answer["missing"] or answer["extra"]:
        return False
    return True if answer["right"] else None


def _name_errors(records: list[Option], trees: dict[str, Line], context: Context) -> None:
    wrong = [r for r in records if r["right"] is False and r["letter"] in trees]
    if not wrong:
        return
    try:
        found: list[Fork] = forks_of(read_example(context.problem_in_its_letter), MOST_ASKED)
    except Failure:
        found = []
    for record in wrong:
        line = trees[record["letter"]]
        fork = next((f for f in found if _same(f.end, line, context)), None)
        key = fork.error if fork else _directly(record["text"], context)
        if key:
            record |= {"error": key, "name": wording_of(key, context.problem.own).name}


def _directly(text: str, context: Context) -> str | None:
    found = check(context.problem_with([as_answer(text, context)]))["error"]
    return str(found) if found else None


def _same(one: Line, other: Line, context: Context) -> bool:
    try:
        return same_end(one, other, context) is True
    except (Failure, ArithmeticError):
        return False


def _faults(
    records: list[Option], trees: dict[str, Line], context: Context, chosen: str
) -> list[str]:
    right = [r["letter"] for r in records if r["right"]]
    found = []
    if len(right) > 1:
        found.append(f"Choices {' and '.join(right)} are both right.")
    if not right and all(r["right"] is False for r in records):
        found.append("None of the choices is right.")
    if chosen and chosen not in [r["letter"] for r in records]:
        found.append(f"The key names choice {chosen}, which is not there.")
    elif chosen and chosen not in right and any(r["right"] is not None for r in records):
        told = f"; right is {right[0]}" if right else ""
        found.append(f"The key names choice {chosen}, which is not right{told}.")
    listed = [r["letter"] for r in records if r["letter"] in trees and r["letter"] not in right]
    for place, letter in enumerate(listed):
        for other in listed[:place]:
            if _same(trees[other], trees[letter], context):
                found.append(f"Choices {other} and {letter} say the same.")
    return found
