"""Request and answer records of the core's contract, and how requests are checked."""

from dataclasses import dataclass, field
from typing import Any, Literal, cast, get_args

from uchuu_core import limits
from uchuu_core.answers.terms import Proof as Proof
from uchuu_core.answers.terms import Task as Task
from uchuu_core.answers.terms import Verdict as Verdict
from uchuu_core.failures import BadRequest, TooLarge
from uchuu_core.lawbook.says import Says
from uchuu_core.notation import read
from uchuu_core.notation.brackets import Juxtaposition
from uchuu_core.notation.tokens import Decimal
from uchuu_core.tree.nodes import Line

Density = Literal["fine", "board", "key"]
Radicals = Literal["any", "non-negative"]


@dataclass(frozen=True, slots=True)
class House:
    """House rules that the core obeys.

    Attributes:
        juxtaposition: the rank of an unwritten multiplication.
        decimal: what stands before the decimals of a number; with "comma", ``;`` separates.
        density: how many steps stand on one line.
        radicals: what letters under even roots may be; ``any`` makes √(x²) an absolute value.
        methods: the schools taught, the contract's names: taken before others where they apply.
    """

    juxtaposition: Juxtaposition = "equal"
    decimal: Decimal = "point"
    density: Density = "board"
    radicals: Radicals = "any"
    methods: tuple[str, ...] = ()


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
    """One problem, as in the contract; ``lines`` only for ``check``.

    ``explained``: so many first lines need no law or error: the asker knows them.
    ``explains``: whether the last line's law or error is looked for; its verdict comes without.
    ``own``: the teacher's own errors. ``seed``: for what is chosen at random. ``avoid``: problems
    that a twin must not be.
    """

    task: Task
    given: str
    variable: str | None = None
    method: str | None = None
    form: tuple[str, ...] = ()
    numbers: Literal["real", "complex"] = "real"
    house: House = House()
    lines: tuple[str, ...] = ()
    explains: bool = True
    explained: int = 0
    own: tuple[OwnError, ...] = ()
    seed: int = 0
    avoid: tuple[str, ...] = ()

    def read(self, text: str, unknown: str | None = None) -> Line:
        """Return *text* read under the problem's house rules (``read``'s failures)."""
        house = self.house
        return read(text, None, house.juxtaposition, house.decimal, unknown or self.variable)


@dataclass(slots=True)
class LineError:
    """The named error behind a wrong line (contract, ``check`` → ``error``).

    ``says`` is what to tell the student; ``instead`` the right line at that place.
    """

    id: str
    name: str
    says: str
    instead: Line | None
    counter: Says | None
    also: list[str] = field(default_factory=list)


def problem_from(record: dict[str, Any]) -> Problem:
    """Return the problem that a JSON record describes.

    Raises:
        BadRequest: a field is missing, unknown in value, or of the wrong type.
        TooLarge: more than ``limits.LINES`` lines.
    """
    if not isinstance(record, dict):
        raise BadRequest("A request is one JSON object a line.")
    task, given = record.get("task"), record.get("given")
    if task not in get_args(Task):
        raise BadRequest(f"“task” should be one of {', '.join(get_args(Task))}; it is {task!r}.")
    if not isinstance(given, str):
        raise BadRequest("“given” should be the text of the problem.")
    lines = record.get("lines", [])
    if not isinstance(lines, list) or not all(isinstance(line, str) for line in lines):
        raise BadRequest("“lines” should be a list of texts.")
    if len(lines) > limits.LINES:
        raise TooLarge(f"At most {limits.LINES} lines are read; these are {len(lines)}.")
    form = record.get("form") or []
    if not isinstance(form, list) or not all(isinstance(item, str) for item in form):
        raise BadRequest("“form” should be a list of words.")
    for name in ("variable", "method"):
        if not isinstance(record.get(name), (str, type(None))):
            raise BadRequest(f"“{name}” should be a text.")
    numbers = record.get("numbers") or "real"
    if numbers not in ("real", "complex"):
        raise BadRequest("“numbers” should be real or complex.")
    return Problem(
        cast(Task, task),
        given,
        record.get("variable"),
        record.get("method"),
        tuple(form),
        cast(Literal["real", "complex"], numbers),
        _house(record.get("house")),
        tuple(lines),
        record.get("explains") is not False,
        _whole(record.get("explained") or 0, "explained"),
        own_errors_from(record.get("own") or []),
        _whole(record.get("seed") or 0, "seed"),
        _texts(record.get("avoid") or [], "avoid"),
    )


def own_errors_from(records: Any) -> tuple[OwnError, ...]:
    """Return the teacher's own errors that JSON records describe.

    Raises:
        BadRequest: a field is missing or of the wrong type.
        TooLarge: more than ``limits.OWN_ERRORS``.
    """
    if not isinstance(records, list) or not all(isinstance(item, dict) for item in records):
        raise BadRequest("“own” should be a list of objects.")
    if len(records) > limits.OWN_ERRORS:
        raise TooLarge(f"At most {limits.OWN_ERRORS} own errors are used at once.")
    found = []
    for item in records:
        texts = [item.get(name, "") for name in ("id", "name", "before", "after", "says")]
        when = item.get("when") or []
        if not all(isinstance(text, str) for text in texts):
            raise BadRequest("An own error has the texts id, name, before, after and says.")
        if not isinstance(when, list) or not all(isinstance(text, str) for text in when):
            raise BadRequest("“when” should be a list of sentences.")
        if not texts[0].startswith("own-"):
            raise BadRequest("The id of an own error begins with “own-”.")
        key, name, before, after, says = texts
        found.append(OwnError(key, name, before, after, tuple(when), says))
    return tuple(found)


def _texts(value: Any, name: str) -> tuple[str, ...]:
    if not isinstance(value, list) or not all(isinstance(item, str) for item in value):
        raise BadRequest(f"“{name}” should be a list of texts.")
    if len(value) > limits.AVOIDED:
        raise TooLarge(f"At most {limits.AVOIDED} problems can be avoided.")
    return tuple(value)


def _whole(value: Any, name: str) -> int:
    if isinstance(value, bool) or not isinstance(value, int):
        raise BadRequest(f"“{name}” should be a whole number.")
    return value


def _house(record: Any) -> House:
    if record is None:
        return House()
    if not isinstance(record, dict):
        raise BadRequest("“house” should be an object of house rules.")
    juxtaposition = record.get("juxtaposition", "equal")
    density = record.get("density", "board")
    if juxtaposition not in ("equal", "tighter"):
        raise BadRequest("“house.juxtaposition” should be equal or tighter.")
    if density not in get_args(Density):
        raise BadRequest("“house.density” should be fine, board or key.")
    radicals = record.get("radicals", "any")
    if radicals not in get_args(Radicals):
        raise BadRequest("“house.radicals” should be any or non-negative.")
    methods = record.get("methods") or []
    if not isinstance(methods, list) or not all(isinstance(item, str) for item in methods):
        raise BadRequest("“house.methods” should be a list of methods.")
    decimal = record.get("decimal", "point")
    if decimal not in get_args(Decimal):
        raise BadRequest("“house.decimal” should be point or comma.")
    return House(juxtaposition, decimal, density, radicals, tuple(methods))
