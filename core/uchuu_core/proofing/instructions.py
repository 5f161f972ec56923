"""What a key's words ask for: "Solve each equation", "Write in lowest terms", "Identify the asymptotes"."""

import re

from uchuu_core.contract import Task

_ASKS: tuple[tuple[str, Task], ...] = (
    (r"solve|find (?:all )?(?:the )?(?:real |exact )?(?:solutions?|roots|zeros of the equation)"
     r"|find (?:the value of )?[a-z]\b(?! domain)|make [a-z] the subject|isolate", "solve"),
    (r"domain|excluded values?|restrictions?|undefined|not defined|list what|values? (?:that )?(?:must|would) be (?:excluded|rejected)",
     "domain"),
    (r"asymptotes?|intercepts?|\bholes?\b|graph|sketch|end behaviou?r|analy[sz]e|\bstudy\b|features", "study"),
    (r"factori[sz]e|factor|write as a product", "factor"),
    (r"expand|multiply out|distribute|remove the brackets|open the brackets|foil", "expand"),
    (r"simplif\w*|reduce|lowest terms|simplest|combine|rationali[sz]e|single fraction|positive exponents"
     r"|like terms|perform|add|subtract|multiply|divide|collect|rewrite", "simplify"),
    (r"evaluate|calculate|compute|work out|find the value|order of operations", "evaluate"),
)  # fmt: skip
_ASKED = tuple((re.compile(rf"(?i)\b(?:{pattern})"), task) for pattern, task in _ASKS)
_BEGINS = re.compile(
    r"(?i)^\s*(?:now |then |next |please )?(?:solve|find|make|isolate|state|give|list|name|identify|determine|"
    r"for (?:which|what) values|where is|graph|sketch|analy[sz]e|study|factori[sz]e|factor|write|express|expand|multiply|"
    r"distribute|remove|open|foil|simplify|reduce|combine|rationali[sz]e|perform|add|subtract|divide|"
    r"collect|rewrite|evaluate|calculate|compute|work out|complete|use|show|domain|what is the domain|excluded)\b"
)
_DONE = re.compile(r"(?i)\bsides?\b|\b(?:add|subtract|multiply|divide)\b[^0-9]*\d")
"""What is said of a step: it asks for nothing."""
_WORD = re.compile(r"(?<![\\A-Za-z])[A-Za-z]{2,}(?![A-Za-z])")
_NO_PROSE = frozenset(
    ("sqrt", "cbrt", "root", "abs", "and", "or", "all", "real", "numbers", "except", "excluded", "solution")
    + ("solutions", "prime", "none", "domain", "hole", "holes", "vertical", "horizontal", "oblique")
    + ("asymptote", "asymptotes", "intercept", "intercepts", "infinity", "range", "end", "left", "right")
    + ("behaviour", "behavior", "cannot", "factored", "not", "factorable", "infinitely", "many", "value")
    + ("shift", "undefined", "no", "va", "ha", "oa", "log", "ln", "int", "zeros", "points", "reals")
)  # fmt: skip


def task_of(words: str) -> Task | None:
    """Return the task that *words* ask for; of several the one that decides what an answer is."""
    found = [task for pattern, task in _ASKED if pattern.search(words)]
    return found[0] if found else None


def is_instruction(line: str) -> bool:
    """Return whether *line* is nothing but an instruction."""
    words = re.sub(r"[.:;]\s*$", "", re.sub(r"^\s*(?:[IVX]+\.|Part \w+[.:])\s+", "", line)).strip()
    if not _BEGINS.match(words) or task_of(words) is None or _DONE.search(words):
        return False
    return not re.search(r"[=^√\\+*/≤≥<>²³]|\d\s*-\s*\d|\(\s*[a-z0-9]", _without_ranges(words))


def _without_ranges(text: str) -> str:
    """Take ``nos. 3-8`` out of an instruction's words."""
    return re.sub(
        r"(?i)\b(?:nos?\.?|numbers?|items?|exercises?|problems?|questions?|in)\s+\d{1,3}\s*(?:[-–—]|to)\s*\d{1,3}",
        "",
        text,
    )


def parted(text: str) -> tuple[Task | None, str]:
    """Return the task of an instruction that stands around a problem, and the problem alone."""
    if not _BEGINS.match(text):
        task = task_of(text) if _WORD.search(text) else None
        return (None, text) if task is None else _at_the_end(text)
    place = 0
    for word in re.finditer(r"\S+", text):
        bare = word.group().strip(".,:;()").lower()
        is_word = re.fullmatch(r"[a-z]+(?:['’-][a-z]+)*", bare) is not None
        if is_word and (
            len(bare) > 1 or bare == "a" or _is_letter_in_words(text, word.end(), bare)
        ):
            if bare not in ("sqrt", "cbrt", "root", "abs"):
                place = word.end()
                if word.group().endswith(":"):
                    break
                continue
        break
    words, rest = text[:place], text[place:].strip(" :")
    if task_of(words) is None and task_of(text) is None:
        return None, text
    task, given = _at_the_end(rest)
    return task_of(words) or task or task_of(text), given


def _is_letter_in_words(text: str, end: int, letter: str) -> bool:
    """Whether a single letter belongs to the words: "for x:", "value of y in"."""
    said = re.search(rf"(?i)\b(?:for|of|in|find|make|isolate)\s+{letter}[:,.]?$", text[:end])
    return said is not None and (
        said.group().lower().startswith("for")
        or text[end - 1] in ":,."
        or re.match(r"\s*(?:in\b|if\b|the\b|$)", text[end:]) is not None
    )


def _at_the_end(text: str) -> tuple[Task | None, str]:
    """Cut words behind a problem off: "(x²-4)/(x-2) in lowest terms"."""
    text = re.sub(r"(?i)[\s,]+(?:completely|fully|exactly)\s*\.?\s*$", "", text)
    found = re.search(
        r"(?i)[\s,;(]+(?:(?:in|as|to|with|over|for|by|using|into|and|completely|fully)\b[^=^√\\+*/\d]*"
        r"(?:terms?|form|fraction|exponents|integers|solve|factoring|product|radicals?|square|formula|completely|[xyztnabk]))\)?[.]?\s*$",
        text,
    )
    if found is None:
        return None, text.strip()
    return task_of(found.group()), text[: found.start()].strip(" ,;.")


_SHORT = frozenset(
    [
        "am",
        "an",
        "as",
        "at",
        "be",
        "by",
        "do",
        "go",
        "he",
        "if",
        "in",
        "is",
        "it",
        "me",
        "my",
        "no",
        "of",
        "on",
        "so",
        "to",
        "up",
        "us",
        "we",
    ]
)
"""Words of two letters; any other two letters side by side are a product."""


def is_words(text: str, *, least: int = 2) -> bool:
    """Return whether *text* is prose: words that are no mathematics, and little else."""
    words = [word.lower() for word in _WORD.findall(text)]
    prose = [w for w in words if w not in _NO_PROSE and (len(w) > 2 or w in _SHORT)]
    signs = len(re.findall(r"[=^√\\]|\d\s*[-+*/]\s*\d", text))
    return len(prose) >= least and signs <= len(prose) // 3
