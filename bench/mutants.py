"""Faults planted in a copy of the core, one at a time: does a test go red?

python -m bench.mutants            # all; a few minutes on two cores
python -m bench.mutants register   # those whose name has the word

Each is a small edit of the lawbook, the errors, the search for reasons or names, or a method; for each the
tests named beside it are run. What survives is printed: a test is missing there.
"""

import shutil
import subprocess
import sys
import tempfile
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path

CORE = Path(__file__).parents[1] / "core"
VOICE = (
    "uchuu_core/checking/tests/test_voice.py",
    "uchuu_core/checking/tests/test_reasons.py",
    "uchuu_core/checking/tests/test_said_is_true.py",
)
NAMES = (
    "uchuu_core/checking/tests/test_diagnosis.py",
    "uchuu_core/checking/tests/test_named_errors.py",
    "uchuu_core/checking/tests/test_cases.py",
    "uchuu_core/checking/tests/test_preferences.py",
)
LUCK = (
    "uchuu_core/checking/tests/test_luck.py",
    "uchuu_core/checking/tests/test_right_work.py",
)
FORKS = ("uchuu_core/forking/tests/test_forks.py",)
BOOK = ("uchuu_core/lawbook", "gallery")
METHODS = ("uchuu_core/methods/tests", "gallery")


@dataclass(frozen=True, slots=True)
class Mutant:
    """One planted fault: in *path* the text *was* becomes *now*; *tests* should see it."""

    name: str
    path: str
    was: str
    now: str
    tests: tuple[str, ...]


def _in(folder: str, *rows: tuple[str, str, str, str, tuple[str, ...]]) -> Iterator[Mutant]:
    for name, file, was, now, tests in rows:
        yield Mutant(name, f"uchuu_core/{folder}/{file}", was, now, tests)


MUTANTS = (
    *_in(
        "lawbook",
        (
            "register: a swapped sentence",
            "linear.py",
            "Add {term} to both sides.",
            "Subtract {term} from both sides.",
            (*VOICE, *BOOK),
        ),
        (
            "register: a sentence of another law",
            "linear.py",
            "MULTIPLY_BOTH_BY = MULTIPLY_BOTH_SIDES",
            "MULTIPLY_BOTH_BY = DIVIDE_BOTH_SIDES",
            VOICE,
        ),
        (
            "register: a family lost",
            "factoring.py",
            "families=Family.FACTORS",
            "families=Family.NONE",
            (*FORKS, *BOOK),
        ),
        (
            "register: a wrong family",
            "expanding.py",
            "families=Family.OPENS",
            "families=Family.SQUARES",
            FORKS,
        ),
        (
            "register: gaps swapped",
            "factoring.py",
            "their product is {product}, their sum {sum}",
            "their sum is {product}, their product {sum}",
            (*VOICE, *BOOK),
        ),
        (
            "says: a sentence twice",
            "says.py",
            "tuple(dict.fromkeys((*self.said, *other.said)))",
            "(*self.said, *other.said)",
            BOOK,
        ),
        (
            "says: the first names the law",
            "says.py",
            "for said in reversed(self.said)",
            "for said in self.said",
            (*BOOK, *VOICE),
        ),
        (
            "says: typed notation in text",
            "says.py",
            "else readable(p)",
            "else plain(p)",
            (*BOOK, *VOICE),
        ),
    ),
    *_in(
        "moves",
        (
            "errors: a wrong preference",
            "preferred.py",
            '_wins("radical-number-joined-to-root", "order-add-before-multiply")',
            '_wins("order-add-before-multiply", "radical-number-joined-to-root")',
            NAMES,
        ),
        (
            "errors: a preference lost",
            "preferred.py",
            '    _wins("like-letter-lost", "gcf-lost"),\n',
            "",
            NAMES,
        ),
        (
            "errors: lowered commonness",
            "errors/expanding.py",
            "common=Common.IN_EVERY_CLASS",
            "common=Common.NOW_AND_THEN",
            (*FORKS, "uchuu_core/moves/tests"),
        ),
        (
            "errors: due elsewhere",
            "errors/trinomials.py",
            "due=Family.FACTORS",
            "due=Family.MOVES",
            FORKS,
        ),
        (
            "errors: a slip that lines invite",
            "errors/copying.py",
            "is_invited=False",
            "is_invited=True",
            FORKS,
        ),
        (
            "errors: ends that go on",
            "errors/trinomials.py",
            "is_ending=True",
            "is_ending=False",
            (*NAMES, "uchuu_core/moves/tests"),
        ),
        (
            "reasons: brackets are not first",
            "said.py",
            "sentence = SUM_IN_BRACKETS if _is_inside(whole, path) else SUM_IS",
            "sentence = SUM_IS",
            (*VOICE, *BOOK),
        ),
    ),
    *_in(
        "checking",
        (
            "reasons: the longest is said",
            "reasons.py",
            "return min(said, key",
            "return max(said, key",
            VOICE,
        ),
        (
            "reasons: parts may change their value",
            "reasons.py",
            'return agreement(old, new, posed.numbers).verdict == "equal"',
            "return True",
            (*VOICE, *NAMES),
        ),
        (
            "reasons: other tasks are not asked",
            "worked_reasons.py",
            "(asked.task, *_ALIKE.get(asked.task, ()))",
            "(asked.task,)",
            VOICE,
        ),
        (
            "reasons: multiplied for divided",
            "both_sides.py",
            "return DIVIDE_BOTH_BY(1 / by)",
            "return MULTIPLY_BOTH_BY(1 / by)",
            VOICE,
        ),
        (
            "reasons: the LCD is not looked for",
            "both_sides.py",
            "if lcd is not None and not lcd.factors and by == lcd.number > 1:",
            "if lcd is None:",
            VOICE,
        ),
        (
            "right line: the line before may be shown",
            "right_line.py",
            "if unordered(without_brackets(line)) != unordered(start) and _is_of_a_kind(line, wrong)",
            "if _is_of_a_kind(line, wrong)",
            ("uchuu_core/checking/tests/test_right_line.py",),
        ),
        (
            "right line: any other will do",
            "right_line.py",
            "NEAR = 0.6",
            "NEAR = 0.0",
            ("uchuu_core/checking/tests/test_right_line.py",),
        ),
        (
            "doubt: lawful forms do not clear a line",
            "diagnosis.py",
            "return None if any(unordered(state) == target.shape for state in states) else found",
            "return found",
            (*VOICE, "uchuu_core/checking/tests/test_right_work.py"),
        ),
        (
            "names: pen before thought",
            "diagnosis.py",
            "rank = 1 if last else 0",
            "rank = 0 if last else 1",
            NAMES,
        ),
    ),
    *_in(
        "moves",
        (
            "patterns: no product inside a product",
            "pattern.py",
            "if len(wanted.factors) < len(factors) <= _MOST_PARTS:",
            "if len(factors) < len(wanted.factors):",
            (*NAMES, "uchuu_core/moves/tests"),
        ),
        (
            "patterns: terms of numbers and letters are not grouped",
            "pattern.py",
            "for other in (flat, terms):",
            "for other in (flat,):",
            (*NAMES, "uchuu_core/moves/tests"),
        ),
        (
            "classics: two laws exchanged",
            "classics.py",
            '_known_for("add-on-both-sides", *_ACROSS)',
            '_known_for("add-on-both-sides", *_ROOTS_OUT)',
            ("uchuu_core/moves/tests", "gallery"),
        ),
    ),
    *_in(
        "checking",
        (
            "luck: what a law writes is doubted too",
            "diagnosis.py",
            "return None if any(unordered(state) == target.shape for state in states) else found",
            "return found",
            LUCK,
        ),
        (
            "luck: only the very line is doubted",
            "diagnosis.py",
            "                    if _leads_to(step.result, target):",
            "                    if step.result is None:",
            LUCK,
        ),
        (
            "slips: every number is near",
            "nearness.py",
            "    if written * right < 0:\n        return False\n",
            "    return True\n",
            ("uchuu_core/checking/tests/test_slips.py",),
        ),
        (
            "stops: the asked form does not come first",
            "stops.py",
            "item.form not in asked, ",
            "",
            ("uchuu_core/checking/tests/test_stops.py",),
        ),
    ),
    *_in(
        "methods",
        (
            "orders: a chain that starts again",
            "orders.py",
            "                line = moment.line\n",
            "",
            METHODS,
        ),
        (
            "orders: the last that applies",
            "orders.py",
            "yield from found\n                return",
            "yield from found",
            METHODS,
        ),
        (
            "methods: the term keeps its sign",
            "equations/linear.py",
            "term = build.as_term(build.negative(value))",
            "term = build.as_term(value)",
            METHODS,
        ),
        (
            "methods: no room for the square",
            "equations/quadratics.py",
            "(ROOM_BY_SUBTRACTING if c > 0 else ROOM_BY_ADDING)",
            "(ROOM_BY_ADDING if c > 0 else ROOM_BY_SUBTRACTING)",
            METHODS,
        ),
        (
            "methods: the density says less",
            "method.py",
            "says = waiting + moment.says if least == BOARD else moment.says",
            "says = moment.says",
            METHODS,
        ),
    ),
    Mutant(
        "effort: what is remembered depends on what was spent",
        "uchuu_core/moves/move.py",
        "    limits.begin_match()\n",
        "",
        ("uchuu_core/tests/test_no_clock.py",),
    ),
)


def goes_red(tests: tuple[str, ...], mutant: Mutant | None = None) -> bool:
    """Return whether *tests* fail in a copy of the core, with *mutant* planted in it.

    Raises:
        LookupError: the text that it changes is not there (any more).
    """
    with tempfile.TemporaryDirectory() as folder:
        copy = Path(folder) / "core"
        shutil.copytree(CORE, copy, ignore=shutil.ignore_patterns("__pycache__"))
        shutil.copytree(CORE.parent / "docs", Path(folder) / "docs")
        if mutant is not None:
            file = copy / mutant.path
            source = file.read_text("utf-8")
            if mutant.was not in source:
                raise LookupError(f"{mutant.name}: nothing to change in {mutant.path}")
            file.write_text(source.replace(mutant.was, mutant.now), "utf-8")
        options = ("-q", "-x", "-p", "no:cacheprovider", "-p", "no:django")
        ran = subprocess.run(
            [sys.executable, "-m", "pytest", *options, "-o", "addopts=", *tests],
            cwd=copy,
            env={"PYTHONPATH": str(copy), "PATH": "", "HOME": folder},
            capture_output=True,
            check=False,
        )
    return ran.returncode != 0


def main() -> int:
    """Plant every fault whose name has the words given; return 1 when one survives."""
    chosen = [m for m in MUTANTS if all(word in m.name for word in sys.argv[1:])]
    if goes_red(tuple(dict.fromkeys(test for mutant in chosen for test in mutant.tests))):
        print("The tests fail without any fault: what they kill says nothing.")
        return 2
    with ThreadPoolExecutor(2) as two:
        killed = list(two.map(lambda mutant: goes_red(mutant.tests, mutant), chosen))
    for mutant, seen in zip(chosen, killed, strict=True):
        print(f"{'killed  ' if seen else 'SURVIVES'}  {mutant.name}")
    print(f"{sum(killed)} of {len(chosen)} killed")
    return 0 if all(killed) else 1


if __name__ == "__main__":
    sys.exit(main())
