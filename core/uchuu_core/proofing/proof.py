"""Proofing a key: what does not hold, where, why, and what should stand there.

Each item is judged as a paper is, by the same judge; nothing here decides truth anew.
"""

from dataclasses import replace
from typing import Any, Literal, get_args

from uchuu_core.answers.proofed import Proofed, ProofItem, Repeats, Status
from uchuu_core.answers.worked import Worked, WorkedLine
from uchuu_core.checking.bare_answers import as_answer
from uchuu_core.checking.context import context_of
from uchuu_core.checking.paper import check_whole
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.notation import latex, read
from uchuu_core.proofing.items import KeyItem, items_of
from uchuu_core.proofing.options import judged_options
from uchuu_core.tree.shape import structure, unnamed
from uchuu_core.working.problem import work


def proof(text: str, defaults: Problem) -> Proofed:
    """Return the report on a key given as text.

    ``{"items": [as proof_item, with "repeats"], "counts": {status: n}}``. *defaults* gives house rules,
    numbers and own errors; its task and given are not looked at.

    Raises:
        TooLarge: the text passes the bounds.
    """
    items = items_of(text)
    reports = [proof_item(item, defaults) for item in items]
    for report, other in zip(
        reports, repeats([report["given"] for report in reports]), strict=True
    ):
        report["repeats"] = other
    counts = {status: sum(r["status"] == status for r in reports) for status in get_args(Status)}
    return {"items": reports, "counts": counts}


def repeats(givens: list[str]) -> list[Repeats | None]:
    """Return for each problem which earlier one it repeats: ``{"of": index, "how": "same" | "structure"}``.

    ``same``: the same exercise, at most with other letters; ``structure``: other numbers in the same places.
    """
    looks: list[tuple[Any, Any] | None] = []
    found: list[Repeats | None] = []
    for text in givens:
        try:
            line = read(text)
            look = (unnamed(line), structure(line))
        except Failure:
            look = None
        match: Repeats | None = None
        ways: tuple[tuple[Literal["same", "structure"], int], ...] = (("same", 0), ("structure", 1))
        for how, part in ways:
            same = [
                n for n, other in enumerate(looks) if look and other and other[part] == look[part]
            ]
            if same and match is None:
                match = {"of": same[0], "how": how}
        looks.append(look)
        found.append(match)
    return found


def unread(item: KeyItem) -> ProofItem:
    """Return the record of an item of which nothing is known yet."""
    return {
        "number": item.number,
        "at": item.at,
        "task": item.task,
        "given": item.given,
        "latex": None,
        "lines": [{"text": text, "latex": None, "verdict": "unread"} for text in item.lines],
        "options": [],
        "faults": [],
        "notes": item.notes,
        "reading": item.reading,
        "chosen": item.chosen,
        "variable": item.variable,
        "status": "unreadable",
        "line": None,
        "error": None,
        "name": None,
        "says": None,
        "counter": None,
        "instead": None,
        "message": None,
        "answer": None,
        "unmet": [],
        "missing": [],
        "extra": [],
        "correction": None,
    }


def proof_item(item: KeyItem, defaults: Problem) -> ProofItem:
    """Return what is known of one item.

    ``{"number","at","task","given","latex","lines","options","faults","notes","status","line": 1-based
    place of the first line that fails or None, "error","name","says","counter","instead","unmet",
    "missing","extra","message","answer","correction": [text…] or None}``.
    """
    report = unread(item)
    problem = replace(
        defaults,
        task=item.task or "simplify",
        given=item.given,
        variable=item.variable or defaults.variable,
        lines=(),
    )
    try:
        context = context_of(problem, [])
    except Failure as failure:
        report["message"] = failure.message
        return report
    report["latex"] = latex(problem.read(item.given))
    worked = _worked(problem)
    if worked is not None:
        report["answer"] = worked["answer"]
    if item.options:
        report["options"], report["faults"] = judged_options(problem, item.options, item.chosen)
    if not item.lines:
        report["status"] = _status_of_options(report) if item.options else "no-answer"
        return report
    texts = list(item.lines)
    if len(texts) == 1 or not any("=" in text for text in texts):
        texts[-1] = as_answer(texts[-1], context)
    _judge(report, replace(problem, lines=tuple(texts)))
    if report["status"] not in ("holds", "undecided") and worked is not None:
        should = _correction(item, worked)
        report["correction"] = [line["text"] for line in should]
        report["correction_latex"] = [line["latex"] for line in should]
    return report


def _status_of_options(report: ProofItem) -> Status:
    if report["faults"]:
        return "wrong"
    return "undecided" if any(o["right"] is None for o in report["options"]) else "holds"


def _worked(problem: Problem) -> Worked | None:
    try:
        return work(problem)
    except Failure:
        return None


def _correction(item: KeyItem, worked: Worked) -> list[WorkedLine]:
    """Return what should stand under the given: the answer, or all lines where lines were written."""
    lines = worked["lines"]
    return lines if len(item.lines) > 1 else lines[-1:]


def _judge(report: ProofItem, problem: Problem) -> None:
    found = check_whole(problem)
    report["lines"] = [
        {
            "text": line["text"],
            "latex": line.get("latex") or None,
            "verdict": line["verdict"],
            "role": line.get("role", "chain"),
            "remark": line.get("remark", ""),
        }
        for line in found["lines"]
    ]
    verdicts = [line["verdict"] for line in found["lines"]]
    answer = found["answer"]
    report |= {"missing": answer["missing"], "extra": answer["extra"]}
    if "unreadable" in verdicts:
        unread = verdicts.index("unreadable")
        failure = found["lines"][unread]["failure"]
        report |= {"status": "unreadable", "line": unread + 1, "message": failure["message"]}
        return
    place = next((n for n, v in enumerate(verdicts) if v in ("wrong", "loses", "unfinished")), None)
    if place is not None:
        line = found["lines"][place]
        error = line.get("error")
        report["line"] = place + 1
        report["unmet"] = line.get("unmet", [])
        report["status"] = "unfinished" if verdicts[place] == "unfinished" else "wrong"
        if error is not None:
            report["error"], report["name"] = error["id"], error["name"]
            report["says"], report["counter"] = error["says"], error["counter"]
            report["instead"] = error["instead"]
        report["missing"] = report["missing"] or line.get("drops", [])
    elif "unproved" in verdicts:
        report |= {"status": "undecided", "line": verdicts.index("unproved") + 1}
    elif answer["missing"] or answer["extra"]:
        report |= {"status": "wrong", "line": len(verdicts)}
    elif not answer["finished"]:
        report |= {"status": "unfinished", "line": len(verdicts)}
    elif not answer["right"]:  # every line follows, and the end could not be held against the given
        report |= {"status": "undecided", "line": len(verdicts)}
    elif report["faults"]:
        report["status"] = "wrong"
    else:
        report["status"] = "holds"
