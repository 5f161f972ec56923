"""Reading files that somebody brings: sets and examples in our format, tables, plain text, LaTeX.

A file is bounded and looked at before it is opened. What is taken and what is not is said row by row.
"""

import csv
import io
import json
import re
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from algebra import pool, worker
from api.documents import fault_in
from api.entrance import says_unstorable, unstorable
from api.failures import Refused
from uchuu_core.failures import Failure

from exchange.workbook import FORMULA, rows_of_workbook

MOST_BYTES = 2_000_000
MOST_ROWS = 100
MOST_CHARACTERS = 20_000
"""Of one problem."""
TASKS = ("evaluate", "simplify", "factor", "expand", "solve", "domain", "study")
_SCHEMA = Path(__file__).parent / "format" / "set.schema.json"
_NAMES = {"problem": "given", "exercise": "given", "points": "marks", "time": "minutes"}
"""Other names that columns are given."""


@dataclass(slots=True)
class Row:
    """What became of one row, item or problem of a file: ``at`` as the file counts, from 1."""

    at: int
    taken: bool
    says: str
    given: str = ""


@dataclass(slots=True)
class Brought:
    """What a file holds: problems (records of an example's fields) and what was said of each row."""

    title: str = ""
    instruction: str = ""
    house: dict[str, Any] = field(default_factory=dict)
    problems: list[dict[str, Any]] = field(default_factory=list)
    rows: list[Row] = field(default_factory=list)


def refuse(why: str) -> Refused:
    """Return the refusal of a whole file."""
    return Refused(422, "bad-file", f"Nothing was imported. {why}")


def brought_in(name: str, content: bytes) -> Brought:
    """Return what the file *name* holds.

    Raises:
        Refused: 422 with the reason; nothing of it is used.
    """
    ending = name.rsplit(".", 1)[-1].lower() if "." in name else ""
    if len(content) > MOST_BYTES:
        raise refuse(f"The file is larger than {MOST_BYTES // 1_000_000} MB.")
    found = _of_ending(ending, name, content)
    character = unstorable([found.title, found.instruction])
    if character:
        raise refuse(says_unstorable(character))
    return found


def _of_ending(ending: str, name: str, content: bytes) -> Brought:
    match ending:
        case "json":
            return _of_json(_text(content))
        case "csv" | "tsv":
            return _of_rows(csv_rows(_text(content)), name)
        case "xlsx":
            return _of_rows(_sheet_rows(content), name)
        case "txt" | "md" | "tex" | "text":
            return of_text(_text(content), name.rsplit(".", 1)[0])
        case _:
            raise refuse("Files that are read end in .json, .csv, .xlsx, .txt, .md or .tex.")


def rows_of(name: str, content: bytes, most: int) -> list[list[str]]:
    """Return the rows of a table (CSV, XLSX, text with separators), as they stand; of a workbook *most*.

    Raises:
        Refused: 422 with the reason; nothing of it is used.
    """
    if len(content) > MOST_BYTES:
        raise refuse(f"The file is larger than {MOST_BYTES // 1_000_000} MB.")
    if name.lower().endswith(".xlsx"):
        return _sheet_rows(content, most)
    if name.rsplit(".", 1)[-1].lower() not in ("csv", "tsv", "txt"):
        raise refuse("Tables that are read end in .csv, .tsv, .txt or .xlsx.")
    return csv_rows(_text(content))


def text_of(name: str, content: bytes) -> str:
    """Return a key's file as text to be proofed; a table becomes one numbered line a row.

    Raises:
        Refused: as ``brought_in``.
    """
    ending = name.rsplit(".", 1)[-1].lower() if "." in name else ""
    if ending in ("txt", "md", "tex", "text"):
        return bounded_text(content)
    found = brought_in(name, content)
    return "\n\n".join(
        "\n".join([f"{n}. {_VERBS[problem['task']]}: {problem['given']}", *problem["lines"]])
        for n, problem in enumerate(found.problems, start=1)
    )


_VERBS = {
    "evaluate": "Evaluate",
    "simplify": "Simplify",
    "factor": "Factor",
    "expand": "Expand",
    "solve": "Solve",
    "domain": "Find the domain of",
    "study": "Study",
}


def bounded_text(content: bytes) -> str:
    """Return the text of a file that is not too large.

    Raises:
        Refused: 422 with the reason.
    """
    if len(content) > MOST_BYTES:
        raise refuse(f"The file is larger than {MOST_BYTES // 1_000_000} MB.")
    return _text(content)


def _text(content: bytes) -> str:
    try:
        text = content.decode("utf-8-sig")
    except UnicodeDecodeError as wrong:
        raise refuse(f"It is not UTF-8 text (byte {wrong.start + 1}). Save it as UTF-8.") from None
    if "\0" in text:
        raise refuse("It holds zero bytes: it is not a text file.")
    return text


def _of_json(text: str) -> Brought:
    try:
        document = json.loads(text)
    except ValueError as wrong:
        raise refuse(f"It is not JSON: {wrong}.") from None
    except RecursionError:
        raise refuse("It is nested too deep.") from None
    if not isinstance(document, dict) or document.get("format") not in (
        "uchuu-set",
        "uchuu-examples",
    ):
        raise refuse("It is not in the format “uchuu-set” or “uchuu-examples”.")
    if document["format"] == "uchuu-examples":
        document = {"format": "uchuu-set", "version": 1, "items": document.get("examples")}
    if fault := fault_in(document, _SCHEMA):
        raise refuse(fault)
    found = Brought(
        document.get("title", ""), document.get("instruction", ""), document.get("house", {})
    )
    for at, item in enumerate(document["items"], start=1):
        _take(found, at, {"lines": [], **item})
    return _with_unread(found)


def of_text(text: str, title: str = "") -> Brought:
    """Return the items of a plain or LaTeX text as problems, their lines with them."""
    found = Brought(title[:200])
    try:
        items = pool.run("key-items", {"text": text})["items"]
    except Failure as failure:
        raise refuse(failure.message) from None
    if not items:
        raise refuse("No problem was found in it. Number the problems: 1. 2. 3.")
    if len(items) > MOST_ROWS:
        raise refuse(f"A set holds at most {MOST_ROWS} problems; these are {len(items)}.")
    for item in items:
        problem = {"task": item["task"], "given": item["given"], "lines": item["lines"]}
        _take(found, item["at"], problem)
    return _with_unread(found)


def of_list(text: str) -> Brought:
    """Return problems typed one a line, or as a numbered list.

    Raises:
        Refused: there is none.
    """
    lines = text.splitlines()
    if not any(line.lstrip()[:1].isdigit() and _NUMBER.match(line) for line in lines):
        count = 0
        for place, line in enumerate(lines):
            if line.strip() and not _HEADING.match(line):
                count += 1
                lines[place] = f"{count}. {line.strip()}"
            elif line.strip():
                lines[place] = f"\n{line}"
    return of_text("\n".join(lines))


_NUMBER = re.compile(r"\s*\d{1,3}\s*[.):]\s")
_HEADING = re.compile(r"\s*[A-Za-z ]+[.:]\s*$")


def _take(found: Brought, at: int, problem: dict[str, Any]) -> None:
    """Take one problem, or say why it is not taken."""
    if not str(problem.get("given", "")).strip():
        found.rows.append(Row(at, False, "There is no problem in it."))
        return
    character = unstorable(problem)
    if character:
        found.rows.append(Row(at, False, says_unstorable(character)))
        return
    if len(problem["given"]) > MOST_CHARACTERS:
        says = f"It has more than {MOST_CHARACTERS:,} characters."
        found.rows.append(Row(at, False, says, problem["given"][:200]))
        return
    found.problems.append(problem)
    found.rows.append(Row(at, True, "taken", problem["given"][:200]))


def _with_unread(found: Brought) -> Brought:
    """Say of which problems the mathematics cannot be read; a worker reads it, and can be ended."""
    try:
        unread = pool.apart(worker.unread, [problem["given"] for problem in found.problems])
    except pool.TookTooLong:
        raise refuse("Its problems take too long to read. Bring fewer of them at once.") from None
    for row, why in zip((row for row in found.rows if row.taken), unread, strict=True):
        if why:
            row.says = f"kept as text: {why}"
    return found


def csv_rows(text: str) -> list[list[str]]:
    """Return the rows of a table in a text: commas, semicolons or tabs between its cells.

    Raises:
        Refused: 422, it is none.
    """
    first = text.split("\n", 1)[0]
    delimiter = max((",", ";", "\t"), key=first.count)
    csv.field_size_limit(MOST_BYTES)
    try:
        return [
            [cell.removeprefix("'") for cell in row]
            for row in csv.reader(io.StringIO(text), delimiter=delimiter)
        ]
    except csv.Error as wrong:
        raise refuse(f"The table cannot be read: {wrong}.") from None


def _sheet_rows(content: bytes, most: int = MOST_ROWS + 2) -> list[list[str]]:
    """Read a workbook where it can be ended when it takes too long."""
    try:
        found = pool.apart(rows_of_workbook, content, most)
    except pool.TookTooLong:
        raise refuse("This workbook takes too long to open. Save its sheet as CSV.") from None
    if isinstance(found, str):
        raise refuse(found)
    return found


def _of_rows(rows: list[list[str]], name: str) -> Brought:
    rows = [row for row in rows if any(cell.strip() for cell in row)]
    if not rows:
        raise refuse("The table is empty.")
    names = [_NAMES.get(n := cell.strip().lower(), n) for cell in rows[0]]
    if "given" not in names:
        raise refuse("The first row should name the columns; one of them is “given”.")
    if len(rows) > MOST_ROWS + 1:
        raise refuse(f"A set holds at most {MOST_ROWS} problems; these are {len(rows) - 1}.")
    found = Brought(name.rsplit(".", 1)[0][:200])
    for at, row in enumerate(rows[1:], start=2):
        if row and row[0] == FORMULA:
            found.rows.append(Row(at, False, "It holds a formula. Put its value in."))
            continue
        cells = dict(zip(names, (cell.strip() for cell in row), strict=False))
        _take_row(found, at, cells)
    return _with_unread(found)


def _take_row(found: Brought, at: int, cells: dict[str, str]) -> None:
    task = cells.get("task", "").lower() or (
        "solve" if "=" in cells.get("given", "") else "simplify"
    )
    if task not in TASKS:
        found.rows.append(
            Row(at, False, f"“{task[:40]}” is no task. Tasks are {', '.join(TASKS)}.")
        )
        return
    problem: dict[str, Any] = {"task": task, "given": cells.get("given", "")}
    for name in ("title", "instruction", "variable", "note"):
        problem[name] = cells.get(name, "")[:200]
    problem["variable"] = problem["variable"][:10]
    problem["numbers"] = "complex" if cells.get("numbers", "").lower() == "complex" else "real"
    problem["form"] = [form.strip() for form in cells.get("form", "").split(";") if form.strip()]
    lines = cells.get("lines") or cells.get("answer", "")
    problem["lines"] = [line.strip() for line in lines.split(" | ") if line.strip()]
    for name, most in (("marks", 100), ("minutes", 600)):
        text = cells.get(name, "").removesuffix(".0")
        is_whole = text.isascii() and text.isdecimal() and len(text) < 9
        if text and not (is_whole and int(text) <= most):
            found.rows.append(
                Row(at, False, f"“{text[:20]}” is no number of {name} (0 to {most}).")
            )
            return
        problem[name] = int(text) if text else None
    _take(found, at, problem)
