"""Marks drawn round parts, in every notation that can: named for the screen, drawn for paper."""

from collections import defaultdict
from collections.abc import Callable
from dataclasses import dataclass
from functools import reduce
from typing import Any

from uchuu_core.drawing.finding import part_of
from uchuu_core.drawing.mark import Mark
from uchuu_core.notation.decorating import Round
from uchuu_core.notation.writers.latex import latex
from uchuu_core.notation.writers.mathml import mathml
from uchuu_core.notation.writers.typst import typst
from uchuu_core.tree.nodes import Line, Sum
from uchuu_core.tree.paths import Path


@dataclass(frozen=True, slots=True)
class OnLine:
    """A mark with the names of its part, and of that in which its arrow ends; ``signed``: the part is a term of a sum."""

    mark: Mark
    part: str
    to: str = ""
    signed: bool = False


Writer = Callable[[OnLine, str], Round]
"""Of a mark and what it writes, in one notation, the text round the marked part."""


def rounds(line: Any, marks: list[OnLine], named: Callable[[Path], str]) -> dict[int, Round]:
    """Name every part that bears a mark, for the screen: ``\\htmlClass{m-…}{…}``.

    Where a formula may be broken must not hang on names: a term is named without its sign, a sum that stands alone
    on its side is not named at all (``m-1-0`` is the left side of line 1).
    """
    paths = {path for one in marks for path in (one.mark.at, one.mark.to) if path is not None}
    parts = {path: part_of(line, path) for path in paths}
    return {
        id(part): _classed(named(path))
        for path, part in parts.items()
        if not (isinstance(part, Sum) and len(path) < 2)
    }


def _classed(name: str) -> Round:
    return lambda text: rf"\htmlClass{{{name}}}{{{text}}}"


def drawn(
    line: Any, marks: list[OnLine], write: Callable[[OnLine], Round], end: Callable[[OnLine], Round]
) -> dict[int, Round]:
    """Draw the *marks* round their parts, several of one part one round the other; arrows at both ends."""
    found: dict[int, list[Round]] = defaultdict(list)
    begun = set()
    for one in marks:
        if one.mark.kind != "arrow" or one.part not in begun:  # several arrows leave one part
            found[id(part_of(line, one.mark.at))].append(write(one))
        begun |= {one.part} if one.mark.kind == "arrow" else set()
        if one.mark.to is not None:
            found[id(part_of(line, one.mark.to))].append(end(one))
    return {key: _in_turn(puts) for key, puts in found.items()}


def _in_turn(puts: list[Round]) -> Round:
    return lambda text: reduce(lambda inner, put: put(inner), puts, text)


def _note(mark: Mark, write: Callable[[Line], str], signs: dict[str, str], word: str) -> str:
    sign = signs.get(mark.sign, word.format(mark.sign) if mark.sign else "")
    return f"{sign} {write(mark.text)}".strip() if mark.text is not None else sign


# Typst: functions of templates/marks.typ

_TYPST_SIGNS = {"+": "+", "·": "dot", "÷": "div"}


def in_typst(one: OnLine) -> Round:
    """Draw a mark in Typst, by the functions that the pages define."""
    mark = one.mark
    note = _note(mark, typst, _TYPST_SIGNS, '"{}"')
    named = f"note: {note}, " if note else ""
    if mark.kind == "arrow":
        return lambda text: f'handleaves({text}, name: #"{one.part}")'
    return lambda text: f"hand{mark.kind}({text}, {named}pair: #{mark.pair})"


def end_in_typst(one: OnLine) -> Round:
    """Draw an arrow to this part in Typst."""
    return lambda text: f'handreached({text}, from: #"{one.part}")'


# LaTeX: amsmath, amssymb, cancel

_LATEX_SIGNS = {
    "+": "+",
    "·": r"\cdot",
    "÷": r"\div",
    "√": r"\sqrt{\ }",
    "∛": r"\sqrt[3]{\ }",
    "ⁿ√": r"\sqrt[n]{\ }",
    "·(−1)": r"\cdot(-1)",
}
_STRIKES = (r"\cancel", r"\bcancel", r"\xcancel")


def in_latex(one: OnLine) -> Round:
    """Draw a mark in LaTeX, with the packages amsmath, amssymb and cancel."""
    mark = one.mark
    note = _note(mark, latex, _LATEX_SIGNS, r"\text{{{}}}")
    match mark.kind:
        case "strike":
            strike = _STRIKES[max(mark.pair - 1, 0) % 3]
            return lambda text: _over(rf"{strike}{{{text}}}", note)
        case "beneath":
            return lambda text: rf"\underset{{{note}}}{{{text}}}"
        case "box":
            return lambda text: rf"\boxed{{{text}}}"
        case "ring":
            label = f"_{{{note}}}" if note else ""
            return lambda text: rf"\underbrace{{{text}}}{label}"
        case "bracket":
            return lambda text: rf"\left[{text}\right]"
        case "join":
            lines = 1 + max(mark.pair - 1, 0) % 2
            return lambda text: r"\underline{" * lines + text + "}" * lines
        case "times":
            return lambda text: _over(text, note)
        case "swap":
            return lambda text: _over(text, r"\circlearrowleft")
        case "arrow":
            return lambda text: text


def _over(text: str, note: str) -> str:
    return rf"\overset{{{note}}}{{{text}}}" if note else text


def end_in_latex(_one: OnLine) -> Round:
    """Draw that an arrow reaches this part, in LaTeX."""
    return lambda text: rf"\overset{{\curvearrowright}}{{{text}}}"


# MathML: menclose

_ENCLOSED = {"box": "box", "ring": "roundedbox", "join": "bottom"}
_MATHML_STRIKES = ("updiagonalstrike", "downdiagonalstrike", "updiagonalstrike downdiagonalstrike")


def in_mathml(one: OnLine) -> Round:
    """Draw a mark in MathML, with ``menclose``, ``mover`` and ``munder``."""
    mark = one.mark
    note = _note(mark, _inside, {}, "<mo>{}</mo>").replace(
        f"{mark.sign} ", f"<mo>{mark.sign}</mo>", 1
    )
    row = f"<mrow>{note}</mrow>" if note else ""
    match mark.kind:
        case "strike":
            kind = _MATHML_STRIKES[max(mark.pair - 1, 0) % 3]
            return lambda text: _above(f'<menclose notation="{kind}">{text}</menclose>', row)
        case "box" | "ring" | "join":
            kind = _ENCLOSED[mark.kind]
            return lambda text: _above(f'<menclose notation="{kind}">{text}</menclose>', row)
        case "beneath":
            return lambda text: f"<munder><mrow>{text}</mrow>{row}</munder>"
        case "bracket":
            return lambda text: f"<mrow><mo>[</mo>{text}<mo>]</mo></mrow>"
        case "times":
            return lambda text: _above(text, row)
        case "swap":
            return lambda text: _above(text, "<mo>↺</mo>")
        case "arrow":
            return lambda text: text


def end_in_mathml(_one: OnLine) -> Round:
    """Draw that an arrow reaches this part, in MathML."""
    return lambda text: _above(text, "<mo>↷</mo>")


def _above(text: str, note: str) -> str:
    return f"<mover><mrow>{text}</mrow>{note}</mover>" if note else text


def _inside(line: Line) -> str:
    return mathml(line).split(">", 1)[1].removesuffix("</math>")
