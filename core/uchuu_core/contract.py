"""What the core is asked: the problem, its house rules, a teacher's own errors."""

from dataclasses import dataclass, field
from typing import Any, Literal

from uchuu_core import limits
from uchuu_core.answers.terms import Proof as Proof
from uchuu_core.answers.terms import Task as Task
from uchuu_core.answers.terms import Verdict as Verdict
from uchuu_core.failures import BadRequest, TooLarge
from uchuu_core.lawbook.says import Says
from uchuu_core.lawbook.spelling import Removing, Spelling, Undoing
from uchuu_core.notation import read
from uchuu_core.notation.brackets import Juxtaposition
from uchuu_core.notation.tokens import Decimal
from uchuu_core.notation.units import quoted, units_in
from uchuu_core.requests import read_record
from uchuu_core.tree.nodes import Line

Density = Literal["fine", "board", "key"]
Radicals = Literal["any", "non-negative"]
NoRealRoot = Literal["no-solution", "complex"]
PlusMinus = Literal["written-out", "kept", "split"]
Fractions = Literal["improper", "mixed"]
Numerators = Literal["expanded", "factored"]
Domains = Literal["except", "set-builder", "interval"]
Powers = Literal["worked-out", "small", "left"]
Checks = Literal["every", "where-needed", "none"]
POWERS_UP_TO: dict[Powers, int] = {"worked-out": limits.LARGEST_POWER, "small": 1000, "left": 0}
"""The largest number that a power in an answer is worked out to."""


@dataclass(frozen=True, slots=True)
class House:
    """House rules that the core obeys.

    Attributes:
        juxtaposition: the rank of an unwritten multiplication.
        decimal: what stands before the decimals of a number; with "comma", ``;`` separates.
        density: how many steps stand on one line.
        radicals: what letters under even roots may be; ``any`` makes √(x²) an absolute value.
        methods: the schools taught, the contract's names: taken before others where they apply.
        spelling: how sentences are spelt: rationalize and factor, or rationalise and factorise.
        no_real_root: what is answered where a polynomial equation has no real solution: that, or the complex ones.
        plus_minus: two solutions with a root: each written out at the end, left as ±, or ± split as soon as a
            root is taken.
        fractions: how a number above 1 is answered: as an improper fraction, or as a mixed number.
        numerators: the top of an answer over letters: brackets multiplied out (one alone stays), or all in factors;
            the bottom stays in factors.
        domains: how a domain is written.
        powers: which powers of numbers in an answer are worked out: all, those up to 1000, or none.
        removing, undoing: which words are said: see ``lawbook.spelling``.
        checks: which checks are asked for, of keys and of papers: every one, those that may throw an answer out, none.

    A right answer in another school's form stays right; only what is written by us follows the rules.
    """

    juxtaposition: Juxtaposition = "equal"
    decimal: Decimal = "point"
    density: Density = "board"
    radicals: Radicals = "any"
    methods: tuple[str, ...] = ()
    spelling: Spelling = "us"
    no_real_root: NoRealRoot = "no-solution"
    plus_minus: PlusMinus = "written-out"
    fractions: Fractions = "improper"
    numerators: Numerators = "expanded"
    domains: Domains = "except"
    powers: Powers = "worked-out"
    removing: Removing = "divide-out"
    undoing: Undoing = "inverse"
    checks: Checks = "every"

    @property
    def powers_up_to(self) -> int:
        """The largest number that a power in an answer is worked out to."""
        return POWERS_UP_TO[self.powers]


AS_USUAL = House()
"""The rules of a house that has chosen nothing."""


@dataclass(frozen=True, slots=True)
class OwnError:
    """An error that a teacher added: a wrong rewrite in plain notation, every letter a variable.

    ``when``: conditions on the variables, as sentences (see ``moves.own``). ``id`` begins with
    “own-”; it is nobody else's business.
    """

    id: str
    name: str
    before: str
    after: str
    when: tuple[str, ...] = ()
    says: str = ""


@dataclass(frozen=True, slots=True)
class Problem:
    """One problem, as in the contract; ``lines`` only for ``check``, ``answers`` only for ``place``.

    ``explained``: so many first lines need no law or error: the asker knows them.
    ``explains``: whether laws and errors are looked for; the verdicts come without.
    ``goes_on``: whether lines may follow: the last one is not yet held against the original, nor
    against the form that is asked for.
    ``own``: the teacher's own errors. ``seen``: keys of errors that this student or class made
    before, likelier than others that are as near. ``most``: forks of a line that are asked for.
    ``seed``: for what is chosen at random. ``avoid``: problems that a twin must not be.
    ``traps``: whether ``inspect`` names the errors that the problem invites.
    ``tempting``: in a twin the best known wrong route should work out as nicely as the right one.
    """

    task: Task
    given: str
    variable: str | None = None
    method: str | None = None
    form: tuple[str, ...] = ()
    numbers: Literal["real", "complex"] = "real"
    house: House = House()
    lines: tuple[str, ...] = ()
    answers: tuple[str, ...] = ()
    explains: bool = True
    explained: int = 0
    goes_on: bool = False
    own: tuple[OwnError, ...] = ()
    seen: tuple[str, ...] = ()
    most: int = 3
    seed: int = 0
    avoid: tuple[str, ...] = ()
    tempting: bool = False
    traps: bool = True

    def read(self, text: str, unknown: str | None = None) -> Line:
        """Return *text* read under the problem's house rules (``read``'s failures)."""
        house = self.house
        text = quoted(text, units_in(self.given))
        return read(text, None, house.juxtaposition, house.decimal, unknown or self.variable)


@dataclass(slots=True)
class LineError:
    """The named error behind a wrong line (contract, ``check`` → ``error``).

    ``says`` is what to tell the student; ``instead`` the right line at that place; ``apart``: what to ask
    for where another error explains the line as well.
    """

    id: str
    name: str
    says: str
    instead: Line | None
    counter: Says | None
    also: list[str] = field(default_factory=list)
    apart: Says | None = None


def problem_from(record: Any) -> Problem:
    """Return the problem that a JSON record describes.

    Raises:
        BadRequest: a field is missing, unknown in value, or of the wrong type.
        TooLarge: more lines, own errors or problems to avoid than the bounds.
    """
    problem = read_record(Problem, record)
    for listed, most, what in (
        (problem.lines, limits.LINES, "lines are read"),
        (problem.answers, limits.ANSWERS, "answers are placed at once"),
        (problem.own, limits.OWN_ERRORS, "own errors are used at once"),
        (problem.seen, limits.SEEN_ERRORS, "earlier errors are taken into account"),
        (problem.avoid, limits.AVOIDED, "problems can be avoided"),
    ):
        if len(listed) > most:
            raise TooLarge(f"At most {most} {what}; these are {len(listed)}.")
    _hold_ids(problem.own)
    return problem


def own_error_from(record: Any) -> OwnError:
    """Return the teacher's own error that a JSON record describes.

    Raises:
        BadRequest: a field is missing or of the wrong type.
    """
    own = read_record(OwnError, record)
    _hold_ids((own,))
    return own


def _hold_ids(listed: tuple[OwnError, ...]) -> None:
    if any(not own.id.startswith("own-") for own in listed):
        raise BadRequest("The id of an own error begins with “own-”.")
