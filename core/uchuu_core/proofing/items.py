"""Finding the items of a key in a text: numbers, instructions, problems, options, lines and answers.

Plain text and LaTeX lists. Nothing is thrown away: what is no mathematics is kept as a note. What the
lines say is not decided here.
"""

import re
from collections.abc import Iterator
from dataclasses import dataclass, field

from uchuu_core import limits
from uchuu_core.contract import Task
from uchuu_core.failures import Failure, TooLarge
from uchuu_core.notation import read
from uchuu_core.tree.nodes import Chain, Relation
from uchuu_core.tree.paths import letters

MOST_ITEMS = 200
MOST_CHARACTERS = 200_000


@dataclass(slots=True)
class KeyItem:
    """One item of a key as it was found.

    Attributes:
        number: its number or name as written, "" without one.
        at: the line of the text where it begins, from 1.
        task: what is asked, guessed from the instruction over it or from its look.
        given: the problem's text.
        lines: what stands under it, the answer last.
        options: letter and text of each choice.
        chosen: the letter that the key calls right, "" where it names none.
        notes: words that belong to it and are no mathematics.
    """

    number: str
    at: int
    task: Task | None = None
    given: str = ""
    lines: list[str] = field(default_factory=list)
    options: list[tuple[str, str]] = field(default_factory=list)
    chosen: str = ""
    notes: list[str] = field(default_factory=list)


_VERBS: tuple[tuple[str, Task], ...] = (
    (r"solve|find (?:all )?(?:the )?(?:real )?(?:solutions?|roots|value of [a-z])", "solve"),
    (r"factori[sz]e|factor", "factor"),
    (r"expand|multiply out|distribute", "expand"),
    (r"(?:find|state|give) the domain|domain(?: of)?|excluded values?", "domain"),
    (r"evaluate|calculate|compute|work out|find the value", "evaluate"),
    (r"simplify|reduce|combine|rationali[sz]e|write in simplest form", "simplify"),
    (r"graph|study|sketch|find the asymptotes|analy[sz]e", "study"),
)  # fmt: skip
_NUMBERED = re.compile(
    r"^\s*(?:(?:problem|question|exercise|item|no\.?|#)\s*(?P<named>\d{1,3})\s*[.):]?"
    r"|\((?P<framed>\d{1,3})\)|(?P<plain>\d{1,3})\s*[.):])\s+(?=\S)",
    re.I,
)
_OPTION = re.compile(r"^\s*\(?([A-Ha-h])\s*[.)]\s+(.*\S)\s*$")
_INLINE_OPTION = re.compile(r"(?:^|\s)\(?([A-Ha-h])[.)]\s+")
_ANSWER = re.compile(
    r"^\s*(?:final\s+)?(?:correct\s+)?(?:answer|ans|key|solution)\b\s*[:=.]?\s*(.*)$", re.I
)
_INLINE_ANSWER = re.compile(
    r"\s*(?:→|⇒|=>|->|(?<![=+*/^<>-])(?:\t+| {3,})(?![=+*/^<>])|\b(?:answer|ans)\s*[:.]\s*|[.;,]\s+(?=no |all |prime|cannot))\s*",
    re.I,
)
_ARROW = re.compile(r"^\s*(?:→|⇒|=>|->|∴|[•*]\s)\s*")
"""What may stand before a line; a minus is never a bullet."""
_WORD = re.compile(r"(?<![\\A-Za-z])[A-Za-z]{3,}")
_MATH_WORDS = frozenset(
    ("sqrt", "cbrt", "root", "abs", "and", "all", "real", "numbers", "except", "excluded", "solution")
    + ("solutions", "prime", "none", "domain", "hole", "holes", "vertical", "horizontal", "oblique")
    + ("asymptote", "asymptotes", "intercept", "intercepts", "infinity", "range", "end", "left", "right")
    + ("behaviour", "behavior", "cannot", "factored", "not", "factorable", "infinitely", "many", "value")
    + ("shift", "undefined")
)  # fmt: skip


def items_of(text: str) -> list[KeyItem]:
    """Return the items of a key in their order.

    Raises:
        TooLarge: more characters or items than the bounds.
    """
    if len(text) > MOST_CHARACTERS:
        raise TooLarge(f"A key of at most {MOST_CHARACTERS:,} characters is read at once.")
    found: list[KeyItem] = []
    heading: Task | None = None
    is_apart = True
    for at, raw in enumerate(_without_latex_frame(text), start=1):
        line, was_apart = raw.strip(), is_apart
        is_apart = not line
        if not line:
            continue
        numbered = _NUMBERED.match(line)
        if numbered:
            found.append(KeyItem(numbered[numbered.lastgroup or 0], at, heading))
            if len(found) > MOST_ITEMS:
                raise TooLarge(f"At most {MOST_ITEMS} items are read at once.")
            _begin(found[-1], line[numbered.end() :])
        elif was_apart and (task := _heading(line)) is not None:
            heading = task
        elif found:
            _continue(found[-1], line)
        elif _is_words(line):
            continue  # a title over the first item
        else:
            found.append(KeyItem("", at, heading))
            _begin(found[-1], line)
    return [_settled(item) for item in found]


def _without_latex_frame(text: str) -> Iterator[str]:
    r"""Yield the lines of *text* without ``\begin``, ``\item``, ``$`` and the like."""
    number = 0
    body = re.split(r"\\begin\{document\}", text, maxsplit=1)[-1]
    is_latex = re.search(r"\\(?:begin|item|documentclass)\b", text) is not None
    for line in body.replace("\r\n", "\n").replace("\r", "\n").split("\n"):
        if is_latex:  # elsewhere a per cent sign is one
            line = re.sub(r"(?<!\\)%.*$", "", line)
        if re.search(r"\\begin\{enumerate\}", line):
            number = 0
        line = re.sub(
            r"\\(?:begin|end)\{[a-zA-Z*]+\}(?:\[[^\]]*\])?|\\(?:usepackage|documentclass).*",
            "",
            line,
        )
        line = re.sub(r"\\(?:section|title|textbf|textit|emph|text)\*?\{([^{}]*)\}", r" \1 ", line)
        while item := re.search(r"\\item(?:\[([^\]]*)\])?", line):
            number += 1
            line = f"{line[: item.start()]}\n{item[1] or f'{number}.'} {line[item.end() :]}"
        line = re.sub(r"\\[\[\]()]|\$\$?|(?<!\\)&|\\displaystyle|\\quad|\\qquad|\\hfill", " ", line)
        yield from re.split(r"\\\\(?:\[[^\]]*\])?|\n", line)


def _heading(line: str) -> Task | None:
    """Return the task of a line that is only an instruction."""
    words = re.sub(r"[.:;]\s*$", "", re.sub(r"^\s*[IVX]+\.\s+", "", line))
    task, rest = _instruction(words)
    if task is None:
        return None
    return task if not rest or _is_words(rest, least=1) else None


def _instruction(text: str) -> tuple[Task | None, str]:
    """Return the task that a text begins with, and the text after the instruction."""
    for pattern, task in _VERBS:
        match = re.match(rf"(?:{pattern})\b(?:\s+for\s+[a-z]\b)?\s*:?\s*", text, re.I)
        if match:
            rest = text[match.end() :].strip()
            filler = re.match(
                r"(?:(?:completely|fully|each|the|over|integers?|following|equations?|expressions?|and|by"
                r"|for|of|in|function|factoring|if|possible|polynomials?|check|your|answers?|express"
                r"|using|positive|exponents|only|lowest|terms|all)\b[\s,.:]*)+",
                rest,
                re.I,
            )
            return task, rest[filler.end() :].strip() if filler else rest
    return None, text


def _is_words(text: str, *, least: int = 2) -> bool:
    """Whether a text is prose: words that are no mathematics, and little else."""
    words = [word.lower() for word in _WORD.findall(text)]
    prose = [word for word in words if word not in _MATH_WORDS]
    signs = len(re.findall(r"[=^√\\]|\d\s*[-+*/]\s*\d", text))
    return len(prose) >= least and signs <= len(prose) // 3


def _begin(item: KeyItem, text: str) -> None:
    """Read what stands beside an item's number."""
    task, rest = _instruction(text)
    item.task = task or item.task
    if not rest:
        return
    given, *answers = [part for part in _INLINE_ANSWER.split(rest) if part.strip()] or [""]
    if (inline := _INLINE_OPTION.search(given)) and inline.start() > 0:
        given, answers = given[: inline.start()], [given[inline.start() :], *answers]
    item.given = given.strip().rstrip(".;,") if not given.strip().endswith("...") else given.strip()
    for answer in answers:
        _continue(item, answer)


def _continue(item: KeyItem, text: str) -> None:
    """Read a further line of an item."""
    text = _ARROW.sub("", text).strip()
    if answer := _ANSWER.match(text):
        text = answer.group(1).strip()
        if item.options and re.fullmatch(r"\(?[A-Ha-h][.)]?", text):
            item.chosen = text.strip("().").lower()
            return
        if not text:
            return
    options = list(_INLINE_OPTION.finditer(text))
    if len(options) > 1 or (options and _OPTION.match(text)):
        ends = [*(match.start() for match in options[1:]), len(text)]
        for match, end in zip(options, ends, strict=True):
            item.options.append((match.group(1).lower(), text[match.end() : end].strip(" ;,")))
        return
    text = _ARROW.sub("", text).rstrip(";").strip()
    if not text:
        return
    if not item.given and not item.lines:
        _begin(item, text)
    elif _is_words(text):
        item.notes.append(text)
    else:
        item.lines.append(text[:-1] if text.endswith(".") and not text[-2:-1].isdigit() else text)


def _settled(item: KeyItem) -> KeyItem:
    """Settle what is asked, and part a problem from the answer that stands behind its equals sign."""
    try:
        line = read(item.given)
    except Failure:
        line = None
    if item.task is None:
        item.task = _guessed(line)
    if item.task == "solve":
        parted = re.match(r"^(.*=.*?)[,;]\s*([A-Za-z](?:_\d)?\s*=.*)$", item.given)
        if parted:
            item.given = parted.group(1).strip()
            item.lines.insert(0, parted.group(2).strip())
    elif isinstance(line, (Relation, Chain)) and item.task != "study":
        given, *rest = item.given.split("=")
        item.given = given.strip()
        item.lines[:0] = [part.strip() for part in rest if part.strip()]
    item.lines = item.lines[: limits.LINES]
    return item


def _guessed(line: object) -> Task:
    if isinstance(line, (Relation, Chain)):
        return "solve"
    if line is not None and not letters(line):  # type: ignore[arg-type]
        return "evaluate"
    return "simplify"
