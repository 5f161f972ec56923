"""One HTML page with MathML: opens anywhere, reads aloud, needs nothing from elsewhere."""

from html import escape

from giving.records import Math, Piece, Sheet, SheetItem

_STYLE = """
body{font:1.05rem/1.5 Georgia,serif;max-width:48rem;margin:2rem auto;padding:0 1rem;color:#111}
h1{border-bottom:2px solid;font-size:1.5rem} ol{padding-left:1.6rem} li{margin:1.2rem 0;break-inside:avoid}
.quiet{color:#555;font-size:.9rem} table{border-collapse:collapse;margin:.5rem 0 0 1rem}
td{padding:.25rem .6rem;vertical-align:baseline} .says{color:#555;font-size:.88rem}
.room{border-bottom:1px solid #999;height:2.2rem}
"""


def html_page(sheet: Sheet) -> str:
    """Return the sheet as one HTML page."""
    title = escape(sheet.title + (f" · {sheet.form}" if sheet.form else ""))
    intro = f"<p>{escape(sheet.instruction)}</p>" if sheet.instruction else ""
    items = "\n".join(_item(item, sheet) for item in sheet.items)
    return (
        f'<!doctype html>\n<html lang="en"><head><meta charset="utf-8"><title>{title}</title>'
        f"<style>{_STYLE}</style></head>\n<body><h1>{title}</h1>{intro}\n<ol>\n{items}\n</ol></body></html>\n"
    )


def maths(m: Math) -> str:
    """Return a line as MathML, as code where it could not be read."""
    return m.mathml or f"<code>{escape(m.text)}</code>"


def sentence(pieces: list[Piece]) -> str:
    """Return what is said, its mathematics as MathML."""
    return "".join(escape(p.text) if p.math is None else maths(p.math) for p in pieces)


def _item(item: SheetItem, sheet: Sheet) -> str:
    marks = f' <span class="quiet">({item.marks})</span>' if item.marks else ""
    head = escape(item.instruction or item.task_words)
    parts = [
        f'<li value="{item.number}"><span class="quiet">{head}</span> {maths(item.given)}{marks}'
    ]
    if item.refused and sheet.what in ("short", "key"):
        parts.append(f"<p><em>{escape(item.refused)}</em></p>")
    if sheet.what == "handout" and sheet.room != "none":
        parts.append('<div class="room"></div>' * item.room)
    if sheet.what == "short" and item.answer is not None:
        parts.append(f"<p>{maths(item.answer)}</p>")
    if item.lines:
        rows = (
            f'<tr><td>{maths(line.math)}</td><td class="says">{sentence(line.says)}</td></tr>'
            for line in item.lines
        )
        parts.append(f"<table>{''.join(rows)}</table>")
    for leaving in item.leavings:
        ends = f"; ends in {maths(leaving.ends)}" if leaving.ends else ""
        parts.append(
            f'<p class="says">after line {leaving.after}: {maths(leaving.wrong)} — '
            f"{escape(leaving.name)}{ends}</p>"
        )
    for choice in item.choices:
        says = "right" if choice.right else f"{choice.name}. {choice.because}"
        parts.append(
            f"<details><summary>{choice.letter}) {maths(choice.math)}</summary>{escape(says)}</details>"
        )
    if item.mistake is not None:
        lines = "".join(f"<li>{maths(m)}</li>" for m in item.mistake.lines)
        instead = f" It should be {maths(item.mistake.instead)}" if item.mistake.instead else ""
        says = f"Line {item.mistake.at}: {item.mistake.name}. {item.mistake.because}"
        parts.append(
            f"<ol>{lines}</ol><details><summary>Key</summary>{escape(says)}{instead}</details>"
        )
    return "".join(parts) + "</li>"
