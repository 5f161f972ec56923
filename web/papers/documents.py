"""Papers as our JSON document and as plain text: both become the rows of a table, told one by one."""

import json
import re
from pathlib import Path
from typing import Any

from api.documents import fault_in
from exchange.reading import refuse

_SCHEMA = Path(__file__).parent / "format" / "papers.schema.json"
_CODE = re.compile(
    r"^\s*(?:code|student|paper)(?:\s*[:#]\s*|\s+(?:of\s+)?)([^,;\t]{1,24}?)\s*:?\s*$",
    re.IGNORECASE,
)
_ITEM = re.compile(r"^\s*(?:no\.?\s*|item\s+|#)?(\d{1,3})\s*[.):](?=\s|$)\s*(.*)$", re.IGNORECASE)


def rows_of_document(text: str) -> tuple[list[list[str]], dict[str, str]]:
    """Return the rows that a document in the format ``uchuu-papers`` stands for, and who had which version.

    Raises:
        Refused: 422, it is in no such format; says where it differs.
    """
    try:
        document: Any = json.loads(text)
    except ValueError as wrong:
        raise refuse(f"It is not JSON: {wrong}.") from None
    except RecursionError:
        raise refuse("It is nested too deep.") from None
    if fault := fault_in(document, _SCHEMA):
        raise refuse(fault)
    papers = document["papers"]
    rows = [
        [paper["code"], str(work["item"]), *work["lines"]]
        for paper in papers
        for work in paper["works"]
    ]
    return rows, {paper["code"]: paper["form"] for paper in papers if paper.get("form")}


def is_plain_text(text: str, codes: set[str]) -> bool:
    """Whether papers stand under one another as text, and not in the cells of a table."""
    first = next((line for line in text.splitlines() if line.strip()), "")
    return _code_of(first, codes, after_gap=True) is not None


def rows_of_text(text: str, codes: set[str]) -> list[list[str]]:
    """Return the rows of papers written under one another.

    A line with a code alone (after an empty line, or with ``Code:`` before it) begins a paper, a number
    with a point or a bracket begins an item; every other line goes on with that item.
    """
    rows: list[list[str]] = []
    code, after_gap = "", True
    for line in text.splitlines():
        found = _code_of(line, codes, after_gap=after_gap)
        after_gap = not line.strip()
        if found is not None:
            code = found
        elif item := _ITEM.match(line):
            rows.append([code, item[1], item[2].strip()])
        elif line.strip() and rows and rows[-1][0] == code:
            rows[-1].append(line.strip())
        elif line.strip():
            rows.append([code, "", line.strip()])
    return rows


def _code_of(line: str, codes: set[str], *, after_gap: bool) -> str | None:
    """Return the code with which *line* begins a paper; None where it does not."""
    named = _CODE.match(line)
    if named:
        return named[1]
    bare = line.strip().rstrip(":")
    return bare if after_gap and bare.casefold() in codes else None
