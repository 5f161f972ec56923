"""Words, marks and signs around the mathematics of a written line.

A line on paper is more than an expression: "so x = 3", "x = -1 (rejected)", "Check: 3(6 - 2) = 12",
"2x = 8 => x = 4", "1 = -1 ✗". Words are told from letters side by side by the letters of the problem.
"""

import re
from collections.abc import Iterator
from dataclasses import dataclass, replace
from itertools import pairwise

from uchuu_core import limits
from uchuu_core.failures import Unreadable
from uchuu_core.notation import remark_patterns as patterns

Chunk = tuple[bool, str]
"""Whether it is words, and the text."""


@dataclass(frozen=True, slots=True)
class Written:
    """What stands on one line.

    Attributes:
        statements: its mathematics; several where one leads to the next on the same line.
        remark: its words as written; empty where there are none.
        rejects: candidates that words reject, as statements.
        rejects_all: whether words reject whatever is listed.
        is_check: whether it says that something is checked.
        fails: whether it says that a check fails.
        is_struck: whether it is crossed out.
        operation: what is done to both sides, when that is what the line says.
    """

    statements: tuple[str, ...] = ()
    remark: str = ""
    rejects: tuple[str, ...] = ()
    rejects_all: bool = False
    is_check: bool = False
    fails: bool = False
    is_struck: bool = False
    operation: str = ""


def written(text: str, known: frozenset[str], *, is_equation: bool = False) -> Written:
    """Return *text* taken apart; ``known`` are the letters of the problem.

    ``is_equation``: whether the lines are equations, so that ``-4  -4`` is done to both sides.

    Raises:
        Unreadable: a word could be a sign of the line or say what was done: "x = 8 plus 2".
    """
    struck = patterns.STRUCK.match(text)
    if struck:
        return Written(remark=(struck.group(1) or struck.group(2) or "").strip(), is_struck=True)
    if len(text) <= limits.CHARACTERS:
        text = patterns.NUMBERED.sub("", text)
        if is_equation:
            text = re.sub(r"(?<=\s)&(?=\s)", ",", text.replace("->", "→"))
            text = re.sub(r"(?i)\bplus or minus\b", "±", text)
            text = patterns.ALSO.sub(" or ", text) if "=" in text else text
    if is_equation and text.count("=") > 1 and len(text) <= limits.CHARACTERS:
        text = patterns.GAP.sub(" or ", text)  # "x = 2   x = 3"
    listed = _listed_chains(text) if is_equation and text.count("=") > 3 else None
    if listed is not None and len(text) <= limits.CHARACTERS:
        return Written(listed)
    sign = (
        patterns.SIGN_SAID.search(text) if is_equation and len(text) <= limits.CHARACTERS else None
    )
    if sign:  # "D = 25 > 0": what its sign says is a remark
        value_end = sign.end("value")
        told = written(text[:value_end], known, is_equation=True)
        return replace(told, remark=f"{told.remark} {text[value_end:].strip()}".strip())
    if len(text) > limits.CHARACTERS or not _needs_care(text, known, is_equation):
        return Written((text,))
    if is_equation:
        alone = patterns.OPERATION.match(text)
        if (
            alone
            and text.count("|") % 2 == bool(alone["bar"])
            and (alone["bar"] or alone["twice"] or alone["op"] not in "-−–")
        ):
            return Written(operation=f"{alone['op']}{alone['by']}")
    attached = None
    if is_equation and "=" in text and text.count("|") % 2:
        attached = patterns.ATTACHED.search(text)
    operation = attached["op"].strip() if attached else ""
    if attached:
        text = text[: attached.start()]
    is_check = bool(patterns.CHECKS.search(text))
    body = re.sub(r"\?=|=\s*\?|≟", "=", text)
    nearly = [found.group().strip() for found in patterns.NEARLY.finditer(body)]
    body = patterns.NEARLY.sub("", patterns.TICKS.sub(" ", body))
    statements: list[str] = []
    words: list[str] = []
    rejects: list[str] = []
    rejects_all = fails = False
    reason = patterns.BECAUSE.search(body)
    body = body[: reason.start()] if reason else body
    for part in patterns.THEN.split(body):
        chunks = list(_chunks(_is_as_equals(part), known))
        _refuse_sign_words(chunks)
        beside = _says_what_was_done(chunks, is_equation=is_equation)
        chunks = _with_amounts(chunks) if beside else chunks
        said = " ".join(text for is_words, text in chunks if is_words)
        words += [text for is_words, text in chunks if is_words]
        rejecting = any(_rejects(text) for is_words, text in chunks if is_words)
        maths = [(n, _trimmed(text)) for n, (is_words, text) in enumerate(chunks) if not is_words]
        maths = [(n, text) for n, text in maths if re.search(r"\w|[∅ℝ√]", text)]
        if chunks and chunks[0][0] and any(text.startswith("=") for n, text in maths if n == 1):
            words = [body.strip()]  # "area = 3": the word is no letter, nothing is said of letters
            continue
        if said and not (beside or rejecting) and _is_prose(said, [text for _, text in maths]):
            words = [part.strip() if word in said else word for word in words][:1] or [part.strip()]
            continue
        if said and is_equation:  # "isolate x"
            maths = [(n, text) for n, text in maths if not patterns.ONE_LETTER.fullmatch(text)]
        if _speaks_of_an_amount(chunks, is_equation=is_equation):
            words = [part.strip()]
            continue
        if not rejecting:
            statements += _statements(maths, is_check=is_check)
            continue
        if (
            not any(
                patterns.RUN.search(patterns.TEXT.sub(" ", text)) or "," in text
                for _, text in maths
            )
            and maths
            and "=" in maths[-1][1]
        ):
            fails = True
            statements += [text for _, text in maths]
            continue
        rejects_all = rejects_all or bool(patterns.ALL.search(said)) or not maths
        kept, out = _sorted_out(chunks)
        rejects += out
        statements += kept
    if (
        nearly
        and not any(set("=<>≤≥≠") & set(s) or "\\" in s for s in statements)
        and "=" not in body
    ):
        statements = []  # "x ≈ 1.41" alone is a remark of value
    words += [reason.group()] if reason else []
    if not statements and not rejects and not nearly and not operation:
        words = [text.strip()]  # a remark stays as it was written
    return Written(
        tuple(statements), _joined([*words, *nearly]), tuple(rejects), rejects_all, is_check,
        fails, False, operation,
    )  # fmt: skip


def _listed_chains(text: str) -> tuple[str, ...] | None:
    """Return "x = (1+5)/2 = 3, x = (1-5)/2 = -2" as two lists, the worked one last."""
    chains = [
        [side.strip() for side in part.split("=")] for part in patterns.SEPARATORS.split(text)
    ]
    if len(chains) < 2 or len({len(c) for c in chains}) > 1 or len({c[0] for c in chains}) > 1:
        return None
    if len(chains[0]) < 3 or not all(
        re.fullmatch(rf"{patterns.LETTER}", chain[0]) for chain in chains
    ):
        return None
    return tuple(
        " or ".join(f"{chain[0]} = {chain[place]}" for chain in chains)
        for place in range(1, len(chains[0]))
    )


def says_all(remark: str) -> bool:
    """Return whether words speak of every candidate: "both", "all", "neither"."""
    return bool(patterns.ALL.search(remark))


def _rejects(words: str) -> bool:
    """Whether words reject what they stand beside."""
    if patterns.REJECTS_ALONE.fullmatch(words):
        return True
    return bool(patterns.REJECTS.search(patterns.DENIED.sub(" ", words)))


def _needs_care(text: str, known: frozenset[str], is_equation: bool) -> bool:
    if any(c in text for c in "?≟≈≃≅✓✔☑✅✗✘❌✕∎□■★•⇒⟹→∴") or "=>" in text or "~=" in text:
        return True
    if "\\" in text and (
        patterns.TEXT.search(text) or patterns.THEN.search(text) or "\\approx" in text
    ):
        return True
    if is_equation and ("|" in text or patterns.OPERATION.match(text)):
        return True
    if not patterns.SEVERAL.search(text):
        return False
    return any(is_words for is_words, _ in _chunks(text, known)) or bool(
        patterns.CHECKS.search(text)
    )


def _is_as_equals(text: str) -> str:
    return patterns.IS.sub("=", text) if "=" not in text else text


def _chunks(text: str, known: frozenset[str]) -> Iterator[Chunk]:
    """Cut *text* into mathematics and words."""
    text = patterns.TEXT.sub(
        lambda m: m.group() if patterns.KEPT.fullmatch(m.group(1).strip()) else f" {m.group(1)} ",
        text,
    )
    kept = [found.span() for found in patterns.KEPT.finditer(text)]
    kept += [found.span() for found in patterns.TEXT.finditer(text)]
    kept += [found.span() for found in re.finditer(r"\\[a-zA-Z]+", text)]
    spans: list[tuple[int, int]] = []
    for run in patterns.RUN.finditer(text):
        if any(a <= run.start() < b for a, b in kept):
            continue
        if is_word(run.group(), known):
            spans.append(run.span())
    for mark in re.finditer(r"[✗✘❌✕]|(?i:\bn/a\b)", text):
        spans.append(mark.span())
    if not spans:
        yield False, text
        return
    spans = _with_little_words(text, sorted(spans), known)
    place = 0
    for start, end in spans:
        if text[place:start].strip():
            yield False, text[place:start]
        yield True, text[start:end]
        place = end
    if text[place:].strip():
        yield False, text[place:]


def _with_little_words(
    text: str, spans: list[tuple[int, int]], known: frozenset[str]
) -> list[tuple[int, int]]:
    """Join words that stand beside each other, with "a", "or" and the like between them."""
    joined = [spans[0]]
    for start, end in spans[1:]:
        between = text[joined[-1][1] : start]
        little = re.fullmatch(r"[\s,'’-]*(?:(?:or|and|in|a|an|I|all|no|let)[\s,'’-]+)*", between)
        if little and not (set(re.findall(r"\b[aI]\b", between)) & known):
            joined[-1] = (joined[-1][0], end)
        else:
            joined.append((start, end))
    return joined


def is_word(run: str, known: frozenset[str]) -> bool:
    """Return whether letters side by side are a word, not a product of the letters *known*."""
    if len(run) == 1 or run in known or all(letter in known for letter in run):
        return False
    if len(run) == 2:
        return run.lower() in patterns.SHORT
    name = patterns.FUNCTIONS.match(run)
    return not (name and all(letter in known for letter in run[name.end() :]))


def _speaks_of_an_amount(chunks: list[Chunk], *, is_equation: bool) -> bool:
    """Whether words stand before an amount that is no line of work: "LCD 6", "factor out 2x"."""
    if len(chunks) != 2 or not chunks[0][0] or patterns.ANSWERS.search(chunks[0][1]):
        return False
    (_, words), (_, amount) = chunks
    if set("=<>≤≥≠") & set(amount):
        return False
    if patterns.NAMED.fullmatch(words):
        return True
    if patterns.DONE.match(words) and (is_equation or patterns.WITH_AMOUNT.search(words)):
        return True
    return re.fullmatch(r"\s*[-−]?[\d./]+\s*[.,]?\s*", amount) is not None


def _refuse_sign_words(chunks: list[Chunk]) -> None:
    """Refuse "x = 8 plus 2": the value 10, or 2 added to both sides.

    Raises:
        Unreadable: a word for a sign follows a side of an equation, with nothing between.
    """
    for (is_words, before), (_, text) in pairwise(chunks):
        sign = None if is_words or "=" not in before else patterns.SIGN_WORD.match(text)
        if (
            sign
            and not patterns.APART.search(before)
            and not any(patterns.BOTH_SIDES.search(t) for _, t in chunks)
        ):
            raise Unreadable(
                f"“{sign.group(1)}” could belong to the value or say what was done to both sides. "
                "Write it as a sign, or put what was done in brackets."
            )


def _says_what_was_done(chunks: list[Chunk], *, is_equation: bool) -> bool:
    """Whether words beside a line say what was done: "2x = 8  subtract 3", "5x (like terms)"."""
    if is_equation and chunks and chunks[0][0] and patterns.DONE.match(chunks[0][1]):
        return any("=" in text for is_words, text in chunks if not is_words)
    if len(chunks) < 2 or chunks[0][0] or not chunks[1][0] or not patterns.DONE.match(chunks[1][1]):
        return False
    head = chunks[0][1]
    if is_equation or "=" in head:
        return "=" in head
    return bool(patterns.APART.search(head) or patterns.NO_SIGN.match(chunks[1][1]))


def _with_amounts(chunks: list[Chunk]) -> list[Chunk]:
    """Join words that say what was done with the amounts after them."""
    joined: list[Chunk] = []
    for is_words, text in chunks:
        amount = patterns.AMOUNT_FIRST.match(text)  # "subtract 1: 2x = 6"
        if amount and joined and joined[-1][0] and patterns.DONE.match(joined[-1][1]):
            joined[-1] = (True, f"{joined[-1][1].strip()} {amount[1].strip()}:")
            joined.append((False, text[amount.end() :]))
            continue
        if joined and joined[-1][0] and not is_words and not set("=<>≤≥≠") & set(text):
            before = joined[-1][1]
            if patterns.DONE.match(before):
                joined[-1] = (True, f"{before.strip()} {text.strip()}")
                continue
        joined.append((is_words, text))
    return [(w, t.rstrip(")") if w and t.count(")") > t.count("(") else t) for w, t in joined]


def _is_prose(said: str, maths: list[str]) -> bool:
    """Whether words with some numbers in them say a sentence rather than a line."""
    if any(set("=<>≤≥≠∈∪") & set(text) or "\\" in text for text in maths):
        return False
    return len(said.split()) >= 3 or len(maths) > 1


def _statements(maths: list[tuple[int, str]], *, is_check: bool) -> list[str]:
    texts = [text for _, text in maths]
    if is_check and texts and "=" in texts[-1]:
        return [texts[-1].split(":")[-1].strip()]  # "Check x = 3: 2(3) + 1 = 7"
    joined: list[str] = []
    for text in texts:
        if joined and patterns.SEPARATORS.match(text):
            joined[-1] += text
        else:
            joined.append(text)
    return [patterns.EDGES.sub("", text) for text in joined]


def _sorted_out(chunks: list[Chunk]) -> tuple[list[str], list[str]]:
    """Return the statements that stand, and the candidates that words beside them reject."""
    kept: list[str] = []
    out: list[str] = []
    pending = False
    for is_words, text in chunks:
        if is_words:
            if not _rejects(text):
                continue
            if kept:
                listed = [p for p in patterns.SEPARATORS.split(kept.pop()) if p.strip()]
                every = bool(patterns.ALL.search(text))
                out += listed if every else listed[-1:]
                rest = [] if every else listed[:-1]
                kept += [" or ".join(rest)] if rest else []
            else:
                pending = True
            continue
        text = _trimmed(text)
        if not re.search(r"\w|[∅ℝ]", text):
            continue
        if pending and not patterns.NOTHING.match(text):
            out += [p for p in patterns.SEPARATORS.split(text) if p.strip()]
            pending = False
        else:
            kept.append(
                patterns.EDGES.sub(
                    "",
                    patterns.SEPARATORS.sub("", text, count=1)
                    if patterns.SEPARATORS.match(text)
                    else text,
                )
            )
    return [" or ".join(kept)] if kept else [], out


def _trimmed(text: str) -> str:
    before = None
    while before != text:
        before = text
        text = patterns.EMPTY.sub(" ", text)
        text = patterns.DANGLING.sub("", re.sub(r"[\s:;.!?–—]+$|^[\s:;.!–—]+", "", text))
        if text.count("(") > text.count(")") and text.endswith("("):
            text = text[:-1]
        if text.count(")") > text.count("(") and text.startswith(")"):
            text = text[1:]
    return text.rstrip(", ")


def _joined(words: list[str]) -> str:
    return " ".join(word.strip() for word in words if word.strip())
