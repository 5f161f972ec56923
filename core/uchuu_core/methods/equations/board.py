"""The board that an equation is worked on, and what routes of all schools share."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, field, replace

from uchuu_core.contract import AS_USUAL, House
from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.numbers import REAL, Numbers
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.kernel.rational_functions import Ring, ring
from uchuu_core.kernel.solutions import SolutionSet
from uchuu_core.kernel.solving import solution_set
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.method import BOARD, Moment, Posed
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Either, Expr, Line, Outcome, Relation, Symbol
from uchuu_core.tree.paths import letters


@dataclass(slots=True)
class Board:
    """The lines of one equation.

    Args:
        now: The last line; at first the given, without brackets that could be left out.
        unknown: The letter that is solved for.
        numbers: Real or complex.
        wrap: Writes a branch into the whole line (``x = 0 or …``).
        is_branch: Whether this is one of several equations joined by "or".
        house: The conventions of the course.
    """

    now: Line
    unknown: str
    numbers: Numbers = REAL
    wrap: Callable[[Line], Line] = lambda line: line
    moments: list[Moment] = field(default_factory=list)
    is_branch: bool = False
    house: House = AS_USUAL

    @property
    def algebra(self) -> Ring:
        """The ring in the unknown."""
        return ring((self.unknown,))

    @property
    def relation(self) -> Relation:
        """The last line as an equation.

        Raises:
            OutOfScope: it is none.
        """
        if not isinstance(self.now, Relation) or self.now.sign != "=":
            raise OutOfScope("This is not one equation.")
        return self.now

    def write(self, line: Line, says: Says, weight: int = BOARD, condition: str = "") -> None:
        """Write *line* unless it is there already."""
        if line == self.now:
            return
        self.now = line
        self.moments.append(Moment(self.wrap(line), says, weight, condition))

    def equation(self, left: Expr, right: Expr, says: Says, weight: int = BOARD) -> None:
        """Write an equation."""
        self.write(Relation(left, "=", right), says, weight)

    def aside(self, line: Line, says: Says, weight: int = BOARD) -> None:
        """Write a line that names something and is no state of the work."""
        self.moments.append(Moment(line, says, weight))

    def follow(self, moments: Iterable[Moment]) -> None:
        """Write the lines of another route."""
        for moment in moments:
            if moment.line != self.now:
                self.now = moment.line
                self.moments.append(replace(moment, line=self.wrap(moment.line)))

    def branches(self, work: Callable[["Board"], None]) -> None:
        """Work each equation of an "or" line by *work*, the others left as they are.

        A branch that is solved already is left; branches without solution fall away.
        """
        options = list(self.now.options) if isinstance(self.now, Either) else [self.relation]
        done: list[Line] = []
        for place, option in enumerate(options):
            rest = options[place + 1 :]
            if is_solved(option, self.unknown):
                done.append(option)
                continue
            before = tuple(done)
            board = Board(
                option,
                self.unknown,
                self.numbers,
                lambda line, before=before, rest=tuple(rest): self.wrap(  # type: ignore[misc]
                    either([*before, line, *rest])
                ),
                is_branch=True,
                house=self.house,
            )
            work(board)
            self.moments += board.moments
            done.append(board.now)
        self.now = either(done)


def either(lines: list[Line]) -> Line:
    """Join branches by "or": equal ones once, those without solution left out.

    Raises:
        OutOfScope: one of several is no equation.
    """
    found: list[Relation] = []
    for line in lines:
        match line:
            case Relation():
                found.append(line)
            case Either(options):
                found += options
            case Outcome("no solution"):
                continue
            case _:
                if len(lines) == 1:
                    return line
                raise OutOfScope("One branch has infinitely many solutions.")
    found = list(dict.fromkeys(found))
    if not found:
        return Outcome("no solution")
    return found[0] if len(found) == 1 else Either(tuple(found))


def is_solved(line: Line, unknown: str) -> bool:
    """Return whether *line* is ``x = …`` without the unknown on the other side."""
    return (
        isinstance(line, Relation)
        and line.sign == "="
        and line.left == Symbol(unknown)
        and unknown not in letters(line.right)
    )


def board_of(posed: Posed) -> Board:
    """Return a fresh board with the given on it.

    Raises:
        OutOfScope: the given is not an equation in one unknown alone.
    """
    given = build.without_brackets(posed.given)
    if not isinstance(given, Relation) or given.sign != "=":
        raise OutOfScope("This is not an equation.")
    return Board(given, posed.unknown, posed.numbers, house=posed.house)


def solutions(line: Line, board: Board) -> SolutionSet:
    """Return the exact solutions of *line*.

    Raises:
        OutOfScope: they are not found.
    """
    names = letters(line) | {board.unknown}
    names -= {"i"} if board.numbers.is_complex else set()
    try:
        return solution_set(line, board.unknown, ring(tuple(sorted(names))), board.numbers)
    except (NotRational, Undefined) as reason:
        raise OutOfScope("The solutions of this equation are not found.") from reason
