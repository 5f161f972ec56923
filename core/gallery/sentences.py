"""Write ``docs/sentences.md``: every sentence that can be said of a line, with an example.

python -m gallery.sentences > ../docs/sentences.md
"""

from collections.abc import Iterator
from functools import lru_cache

from uchuu_core.checking.context import context_of
from uchuu_core.checking.reasons import said_at
from uchuu_core.checking.worked_reasons import Asked
from uchuu_core.contract import Problem, problem_from
from uchuu_core.failures import Failure
from uchuu_core.inspecting.shapes import shapes_of
from uchuu_core.lawbook.register import CHAPTERS, LAWS, SENTENCES
from uchuu_core.lawbook.says import Part, Said, Says, Sentence
from uchuu_core.methods.catalogue import applicable
from uchuu_core.moves.catalogue import LAWS as MOVES
from uchuu_core.notation import read
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.nodes import Relation

from gallery.__main__ import problems

_SAMPLES: dict[str, Part] = {
    "index": "cube",
    "kind": "square",
    "name": "sum",
    "side": "left",
    "where": "far to the left",
    "count": 2,
    "number": 7,
    "numbers": 3,
    **{
        gap: read(text)
        for gap, text in (
            ("unknown", "x"),
            ("letter", "u"),
            ("candidate", "x = 4"),
            ("value", "5"),
            ("excluded", "x != 2"),
            ("point", "x = 2"),
            ("left", "7"),
            ("right", "9"),
            ("sum", "9 - 4"),
            ("parts", "2(x + 3)"),
            ("lcd", "6x"),
            ("one", "sqrt(3)/sqrt(3)"),
            ("base", "3"),
            ("conjugate", "sqrt(5) - 1"),
            ("expression", "x^2 + 6x + 9"),
            ("square", "(x + 3)^2"),
            ("first", "x + 1"),
            ("second", "2"),
            ("added", "3"),
            ("taken", "2x"),
            ("power", "3/2"),
            ("top", "12"),
            ("denominator", "x^2 + 1"),
        )
    },
}
_SAMPLE = read("x + 3")
"""What fills a gap where no worked example says the sentence."""


def _found() -> Iterator[Says]:
    for record in problems():
        try:
            problem = problem_from(record)
            context = context_of(problem, [])
            for method in applicable(context.posed, problem.task):
                yield from (moment.says for moment in method.moments(context.posed))
            yield from (says for _, says, _ in shapes_of(without_brackets(context.given), context))
        except Failure:
            continue
    for move in MOVES:
        for example in move.examples:
            task = "solve" if isinstance(read(example.before), Relation) else "simplify"
            context = context_of(Problem(task, example.before), [])  # type: ignore[arg-type]
            asked = Asked(task)  # type: ignore[arg-type]
            line = read(example.after)
            says = said_at(context.posed, context.given, line, asked, context.ring)
            if says is not None:
                yield says


@lru_cache(maxsize=1)
def examples() -> dict[Sentence, str]:
    """Return the shortest example of each sentence that a worked problem or a law's example says."""
    found: dict[Sentence, str] = {}
    for says in _found():
        for said in _all_said(says):
            text = Says((said,)).text
            if len(text) < len(found.get(said.sentence, text + " ")):
                found[said.sentence] = text
    return found


def _all_said(says: Says) -> Iterator[Said]:
    for said in says.said:
        yield said
        for _, part in said.parts:
            for one in (part, *getattr(part, "items", ())):
                if isinstance(one, Says):
                    yield from _all_said(one)


def example_of(sentence: Sentence) -> str:
    """Return an example of *sentence*: as it is said somewhere, else with samples in its gaps."""
    said = examples().get(sentence)
    return said or sentence(**{gap: _SAMPLES.get(gap, _SAMPLE) for gap in sentence.gaps}).text


def page() -> str:
    """Return the whole page."""
    text = [
        "# What is said, chapter by chapter",
        "",
        "Written by `python -m gallery.sentences` in `core/`; a test holds it current. Under each law:",
        "what to notice before it, why it holds, and every sentence with an example.",
        "",
    ]
    for chapter in CHAPTERS:
        name = chapter.__name__.rpartition(".")[2]
        text += [f"## {name.replace('_', ' ')}", ""]
        own = [s for key, s in SENTENCES.items() if key.startswith(f"{name}/") and s.law is None]
        text += [f"- {example_of(sentence)}" for sentence in own] + ([""] if own else [])
        for law in LAWS.values():
            if law not in vars(chapter).values():
                continue
            text += [f"### {law.name} (`{law.key}`)", "", f"*{law.notice}* {law.why}", ""]
            text += [f"- {example_of(sentence)}" for sentence in law.sentences] + [""]
    return "\n".join(text)


if __name__ == "__main__":
    print(page(), end="")
