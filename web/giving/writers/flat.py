"""Plain text, Markdown and LaTeX source: the same walk over a sheet, three ways to write its parts."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Any

from giving.records import Math, Sheet, SheetItem

_SPECIAL = {
    "\\": r"\textbackslash{}",
    "{": r"\{",
    "}": r"\}",
    "$": r"\$",
    "&": r"\&",
    "#": r"\#",
    "%": r"\%",
    "_": r"\_",
    "^": r"\^{}",
    "~": r"\~{}",
    "−": "$-$",
    "√": r"$\sqrt{}$",
    "×": r"$\times$",
    "÷": r"$\div$",
    "≠": r"$\neq$",
}


def in_latex(text: str) -> str:
    """Return a user's text with what means something in LaTeX made harmless."""
    return "".join(_SPECIAL.get(character, character) for character in text)


@dataclass(frozen=True, slots=True)
class _Way:
    """How one notation writes text, mathematics (alone, inside a sentence), a problem's head, a line under it, headings, a break."""

    text: Callable[[str], str]
    maths: Callable[[Math], str]
    inside: Callable[[Math], str]
    head: Callable[[int, str, str, str], str]
    line: Callable[[str, str], str]
    title: Callable[[str], str]
    between: Callable[[str], str]
    apart: str


def _tex(m: Math) -> str:
    return f"$\\displaystyle {m.latex}$" if m.latex else f"\\texttt{{{in_latex(m.text)}}}"


_PLAIN = _Way(
    str,
    lambda m: m.text,
    lambda m: m.inside or m.text,
    lambda n, task, maths, marks: f"{n}. {task}: {maths}{f'   ({marks})' if marks else ''}",
    lambda line, says: f"   {line}{f'    [{says}]' if says else ''}",
    lambda text: f"{text}\n{'=' * len(text)}",
    lambda text: f"\n{text}\n{'-' * len(text)}",
    "\n",
)
_MARKDOWN = _Way(
    lambda text: "".join(f"\\{c}" if c in "\\`*_{}[]<>#|" else c for c in text),
    lambda m: f"${m.latex}$" if m.latex else f"`{m.text}`",
    lambda m: f"${m.latex}$",
    lambda n, task, maths, marks: f"{n}. {task}: {maths}{f' *({marks})*' if marks else ''}",
    lambda line, says: f"    - {line}{f' — {says}' if says else ''}",
    lambda text: f"# {text}",
    lambda text: f"\n## {text}\n",
    "\n",
)
_LATEX = _Way(
    in_latex,
    _tex,
    lambda m: f"${m.latex}$",
    lambda n, task, maths, marks: (
        f"\\item[{n}.] {task}: {maths}" + (f" \\hfill ({marks})" if marks else "")
    ),
    lambda line, says: f"\\par\\quad {line}" + (f" \\hfill {{\\small {says}}}" if says else ""),
    lambda text: f"\\section*{{{text}}}",
    lambda text: f"\\newpage\\item[]\\textbf{{{text}}}",
    "",
)


def plain_text(sheet: Sheet) -> str:
    """Return the sheet as plain text, in the notation that a person types."""
    return "\n".join(_walk(sheet, _PLAIN)) + "\n"


def markdown(sheet: Sheet) -> str:
    """Return the sheet as Markdown with mathematics between dollar signs."""
    return "\n".join(_walk(sheet, _MARKDOWN)) + "\n"


def latex_source(sheet: Sheet) -> str:
    """Return a LaTeX document of the sheet."""
    paper = "a4paper" if sheet.paper == "a4" else "letterpaper"
    head = f"\\documentclass[11pt,{paper}]{{article}}\n\\usepackage[margin=20mm]{{geometry}}\n"
    head += (
        "\\usepackage{amsmath,amssymb,cancel}\n\\usepackage[utf8]{inputenc}\n\\usepackage{array}\n"
    )
    title, *body = _walk(sheet, _LATEX)
    return (
        f"{head}\\begin{{document}}\n{title}\n\\begin{{description}}\n"
        + "\n".join(body)
        + "\n\\end{description}\n\\end{document}\n"
    )


def _walk(sheet: Sheet, way: _Way) -> Iterator[str]:
    form = f" · {sheet.form}" if sheet.form else ""
    intro = f"\n\n{way.text(sheet.instruction)}" if sheet.instruction else ""
    yield f"{way.title(way.text(sheet.title + form))}{intro}{way.apart}"
    for item in sheet.items:
        task = way.text(item.instruction or item.task_words)
        yield way.head(item.number, task, way.maths(item.given), str(item.marks or ""))
        yield from _under(item, sheet, way)
        if way.apart:
            yield ""
    if sheet.has_key_apart:
        yield way.between(way.text(f"Key: {sheet.title}{form}"))
        for item in sheet.items:
            yield from _key(item, way)


def _under(item: SheetItem, sheet: Sheet, way: _Way) -> Iterator[str]:
    """Yield what stands under a problem; nothing that is not for a student where it is for students."""
    if item.refused and sheet.what in ("short", "key"):
        yield way.line(way.text(item.refused), "")
    if sheet.what == "handout" and sheet.room != "none" and way is _LATEX:
        yield f"\\par\\vspace{{{item.room * 9}mm}}"
    if sheet.what == "short" and item.answer is not None:
        yield way.line(way.maths(item.answer), "")
    for line in item.lines:
        said = "".join(
            way.text(p.text) if p.math is None else way.inside(p.math) for p in line.says
        )
        yield way.line(way.maths(line.math), said)
    for work in item.beside:
        said = "".join(
            way.text(p.text) if p.math is None else way.inside(p.math) for p in work["says"]
        )
        yield way.line(f"beside line {work['line']}: {said}", "")
        for row in work["rows"]:
            yield way.line("    " + way.text(" | ".join(map(_cell, row))), "")
    for leaving in item.leavings:
        where = f"after line {leaving.after}" if leaving.after else "after the given"
        ends = f"; ends in {way.maths(leaving.ends)}" if leaving.ends else ""
        says = f"{way.text(leaving.name)}{ends}"
        yield way.line(f"{where}: {way.maths(leaving.wrong)}", says)
    for choice in item.choices:
        yield way.line(f"{choice.letter}) {way.maths(choice.math)}", "")
    if item.mistake is not None:
        for number, math in enumerate(item.mistake.lines, start=1):
            yield way.line(f"{number}  {way.maths(math)}", "")


def _cell(cell: dict[str, Any]) -> str:
    return f"{cell['text']}{cell['math']['text'] if cell['math'] else ''}"


def _key(item: SheetItem, way: _Way) -> Iterator[str]:
    """Yield the key of choices, or of a planted mistake."""
    name = f"{item.number}"
    if item.refused:
        yield way.line(f"{name}  {way.text(item.refused)}", "")
    for choice in item.choices:
        says = "right" if choice.right else f"{choice.name}. {choice.because}"
        yield way.line(f"{name} {choice.letter})", way.text(says))
    if item.mistake is not None:
        instead = f" It should be {way.maths(item.mistake.instead)}" if item.mistake.instead else ""
        says = way.text(f"{item.mistake.name}. {item.mistake.because}") + instead
        yield way.line(f"{name}  line {item.mistake.at}:", says)
