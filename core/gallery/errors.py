"""Write ``docs/errors.md``: the manual's page of the error catalogue, generated from the product's wording.

python -m gallery.errors > ../docs/errors.md
"""

from itertools import groupby

from uchuu_core.moves.catalogue import Wording, wordings


def entry(wording: Wording) -> list[str]:
    """Return the Markdown of one error."""
    text = [
        f"### {wording.name}",
        "",
        f"`{wording.id}`: `{wording.before}` becomes `{wording.instead}`. {wording.when}",
        "",
        f"- before `{wording.example.before}`, wrong `{wording.example.after}`, right `{wording.right}`",
    ]
    if wording.counter:
        text.append(f"- refuted: {wording.counter}")
    text += [f"- why: {wording.why}", f"- what to say: {wording.repair}"]
    text += [f"- not to be confused with `{other}`: {tell}" for other, tell in wording.looks_like]
    return [*text, ""]


def page() -> str:
    """Return the whole page."""
    found = list(wordings().values())
    text = [
        "# The errors that are recognised",
        "",
        f"{len(found)} errors, by topic. Written by `python -m gallery.errors` in `core/`; a test holds it",
        "current. Letters in patterns stand for any number or expression.",
        "",
    ]
    for topic, entries in groupby(found, key=lambda wording: wording.topic):
        text += [f"## {topic[0].upper()}{topic[1:]}", ""]
        for wording in entries:
            text += entry(wording)
    return "\n".join(text)


if __name__ == "__main__":
    print(page(), end="")
