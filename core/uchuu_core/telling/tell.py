"""An example told line by line: what to say, what to ask before the line, what to watch for."""

from contextlib import suppress

from uchuu_core.answers.forked import Told, ToldLine, Watch
from uchuu_core.checking.entries import Entry, readable_lines, shown_entry
from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem
from uchuu_core.failures import Failure
from uchuu_core.forking.example import read_example
from uchuu_core.forking.forks import as_record, forks_of
from uchuu_core.lawbook.register import LAWS
from uchuu_core.notation import plain, shown
from uchuu_core.notation.decorating import decorating
from uchuu_core.notation.sides import sides
from uchuu_core.notation.writers.latex import latex
from uchuu_core.tree.changes import changed_parts
from uchuu_core.tree.nodes import Line

MOST_WARNINGS = 2
_ASK = "What would you do next?"


def tell(problem: Problem) -> Told:
    """Return the example with what is new on each line lit, and the talk track.

    ``{"lines": [{"text","verdict","latex","sides","lit","spoken","say","ask","why","watch":
    [{"name","wrong","wrong_latex","counter"}]}]}``, the given first. ``lit`` is as ``sides``, with
    new parts in ``\\htmlClass{lit}{…}``; a line that cannot be read has its text alone.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    given = problem.read(problem.given)
    watch = _watch(problem)
    seen = shown(given)
    lines: list[ToldLine] = [
        {
            "text": plain(given),
            **seen,
            "lit": seen["sides"],
            "verdict": "ok",
            "say": seen["spoken"],
            "parts": [],
            "ask": "",
            "why": "",
            "watch": watch.get(0, []),
        }
    ]
    before: Line = given
    for number, (entry, record) in enumerate(
        zip(readable_lines(problem), check(problem)["lines"], strict=True), start=1
    ):
        told: ToldLine = {
            "text": record["text"],
            "verdict": record["verdict"],
            "say": record.get("says") or record.get("spoken") or "",
            "parts": record.get("parts", []),
            "ask": _ask(record.get("law", "")),
            "why": _why(record.get("law", "")),
            "watch": watch.get(number, []),
        }
        if isinstance(entry, Entry):
            told |= shown_entry(entry)
            told["role"], told["sides"] = record["role"], record["sides"]
            told["lit"] = told["sides"]
            if len(entry.lines) == 1 and not entry.rejects:
                line = entry.lines[0]
                with decorating({id(part): _lit for part in changed_parts(before, line)}):
                    told["lit"] = sides(line)
                    if not record["sides"]["left"] and told["lit"]["left"]:
                        told["lit"] = {**record["sides"], "right": latex(line)}
                if record["role"] == "chain":
                    before = line
        lines.append(told)
    return {"lines": lines}


def _lit(text: str) -> str:
    return rf"\htmlClass{{lit}}{{{text}}}"


def _ask(law: str) -> str:
    return LAWS[law].notice if law in LAWS else _ASK


def _why(law: str) -> str:
    return LAWS[law].why if law in LAWS else ""


def _watch(problem: Problem) -> dict[int, list[Watch]]:
    """Return the most common forks of every line."""
    found: dict[int, list[Watch]] = {}
    with suppress(Failure):
        example = read_example(problem)
        for fork in forks_of(example):
            listed = found.setdefault(example.numbers[fork.after], [])
            if len(listed) < MOST_WARNINGS and not fork.hidden:
                record = as_record(fork, problem)
                listed.append(
                    {
                        "name": record["name"],
                        "wrong": record["wrong"],
                        "wrong_latex": record["wrong_latex"],
                        "counter": record["counter"],
                        "counter_parts": record["counter_parts"],
                    }
                )
    return found
