"""Radical equations: isolate one radical, raise both sides, collect, again if one is left, reject."""

from dataclasses import dataclass
from fractions import Fraction
from math import gcd

from uchuu_core.failures import OutOfScope
from uchuu_core.kernel.points import NotRational, Undefined
from uchuu_core.lawbook.equations import ISOLATE_ROOT, SQUARE_BOTH_SUM, SQUARE_ROOT_NEVER_NEGATIVE
from uchuu_core.lawbook.linear import DIVIDE_BOTH_BY
from uchuu_core.lawbook.says import Says
from uchuu_core.methods.equations.board import Board
from uchuu_core.methods.equations.candidates import reject
from uchuu_core.methods.equations.finish import finish
from uchuu_core.methods.equations.reverse import raised
from uchuu_core.methods.method import KEY, RIDES_ALONG
from uchuu_core.methods.written import polynomial_tree
from uchuu_core.moves.laws.expanding import coefficient_and_rest
from uchuu_core.tree import build
from uchuu_core.tree.nodes import Expr, Number, Outcome, Power, Root, Signed, Sum, Term
from uchuu_core.tree.paths import letters, parts

MOST_ROUNDS = 3


@dataclass(frozen=True, slots=True)
class RootPart:
    """A number times a root with the unknown in it."""

    coefficient: Fraction
    root: Root

    @property
    def tree(self) -> Expr:
        """The part as written, its sign in front."""
        return build.times(self.coefficient, self.root)

    def negative(self) -> "RootPart":
        """Return the opposite."""
        return RootPart(-self.coefficient, self.root)


@dataclass(frozen=True, slots=True)
class Side:
    """A sum of roots and a polynomial without them."""

    roots: tuple[RootPart, ...]
    rest: Expr

    @property
    def tree(self) -> Expr:
        """The side as written, roots first."""
        roots = [part.tree for part in self.roots]
        if len(roots) == 1 and self.roots[0].coefficient < 0:
            return build.add(self.rest, *roots)
        return build.add(*roots, self.rest)


def by_squaring(board: Board) -> None:
    """Work a radical equation.

    Raises:
        OutOfScope: it holds no root with the unknown, or what is left is not solved.
    """
    given = board.relation
    if not _holds_root(given.left, board) and not _holds_root(given.right, board):
        raise OutOfScope("No root with the unknown stands in it.")
    if letters(given) - {board.unknown}:
        raise OutOfScope("It holds further letters.")
    for _ in range(MOST_ROUNDS):
        line = board.relation
        left, right = _side(line.left, board), _side(line.right, board)
        if not left.roots and not right.roots:
            break
        if _isolated(board, left, right):
            return  # a root that would be negative
        _raise(board)
    else:
        raise OutOfScope("Roots are left after three times squaring.")
    finish(board)
    reject(board, given)


def _holds_root(node: Expr, board: Board) -> bool:
    return any(isinstance(p, Root) and board.unknown in letters(p) for p in parts(node))


def _side(side: Expr, board: Board) -> Side:
    """Take a side apart.

    Raises:
        OutOfScope: a root stands in a product with the unknown, below a bar, or in another root.
    """
    roots: list[RootPart] = []
    rest: list[Term] = []
    for term in build.terms_of(side):
        if not _holds_root(term.body, board):
            rest.append(term)
            continue
        number, body = coefficient_and_rest(term.body)
        if not isinstance(body, Root) or _holds_root(body.radicand, board):
            raise OutOfScope("A root in it does not stand alone as a term.")
        sign = -1 if term.sign == "-" else 1
        roots.append(RootPart(sign * number, body))
    joined: dict[Root, Fraction] = {}
    for part in roots:
        joined[part.root] = joined.get(part.root, Fraction(0)) + part.coefficient
    kept = tuple(RootPart(c, root) for root, c in joined.items() if c)
    return Side(kept, _polynomial(build.total(rest), board))


def _polynomial(node: Expr, board: Board) -> Expr:
    """Return a part without roots, expanded and collected.

    Raises:
        OutOfScope: it is no polynomial.
    """
    try:
        value = board.algebra.function(node)
    except (NotRational, Undefined) as reason:
        raise OutOfScope("A part of it is no polynomial.") from reason
    if not value.denominator.is_constant():
        raise OutOfScope("The unknown stands below a bar.")
    return polynomial_tree(value.numerator / value.denominator.leading_coefficient(), board.algebra)


def _minus(a: Expr, b: Expr, board: Board) -> Expr:
    return _polynomial(build.add(a, _opposite(b)), board)


def _opposite(node: Expr) -> Expr:
    terms = (Term(build.OPPOSITE[t.sign], t.body) for t in build.terms_of(node))
    return build.total(terms)


def _isolated(board: Board, left: Side, right: Side) -> bool:
    """Bring one root alone to a side; return whether the line then cannot hold."""
    alone, other = _choose(left, right, board)
    if alone.coefficient < 0:
        alone = alone.negative()
        rest = _polynomial(_opposite(other.rest), board)
        other = Side(tuple(p.negative() for p in other.roots), rest)
    stays = (board.relation.left, board.relation.right) in (
        (alone.tree, other.tree),
        (other.tree, alone.tree),
    )
    is_right = _stands_right(alone, left, right)

    def write(root: RootPart, rest: Side, says: Says) -> None:
        ends = (rest.tree, root.tree) if is_right else (root.tree, rest.tree)
        board.equation(*ends, says)

    if not stays:
        write(alone, other, ISOLATE_ROOT(alone.tree))
    scale = _common(alone, other)
    if scale != 1:
        alone = RootPart(alone.coefficient / scale, alone.root)
        other = Side(
            tuple(RootPart(p.coefficient / scale, p.root) for p in other.roots),
            _polynomial(build.product((build.number(1 / scale), other.rest)), board),
        )
        write(alone, other, DIVIDE_BOTH_BY(build.number(scale)))
    value = None if other.roots else _number(other.rest)
    if alone.root.index % 2 == 0 and value is not None and value < 0:
        says = SQUARE_ROOT_NEVER_NEGATIVE()
        board.write(Outcome("no solution"), says, KEY)
        return True
    return False


def _stands_right(alone: RootPart, left: Side, right: Side) -> bool:
    """Whether the root stands on the right, with the sign that it keeps there, and on no other side."""
    on_left = any(part.root == alone.root for part in left.roots)
    return not on_left and any(part == alone for part in right.roots)


def _choose(left: Side, right: Side, board: Board) -> tuple[RootPart, Side]:
    """Return the root to isolate and what stands on the other side then."""
    for side, other in ((left, right), (right, left)):
        if len(side.roots) == 1 and side.rest == build.ZERO:
            return side.roots[0], other
    roots = [*left.roots, *(part.negative() for part in right.roots)]
    alone = next((part for part in roots if part.coefficient > 0), roots[0])
    others = tuple(part.negative() for part in roots if part is not alone)
    return alone, Side(others, _minus(right.rest, left.rest, board))


def _number(node: Expr) -> Fraction | None:
    number, rest = coefficient_and_rest(node.body if isinstance(node, Signed) else node)
    if rest != build.ONE:
        return None
    return -number if isinstance(node, Signed) else number


def _common(alone: RootPart, other: Side) -> Fraction:
    """Return what both sides are divided by: a fraction before the root, or a common factor."""
    if alone.coefficient.denominator != 1:
        return alone.coefficient
    terms = [coefficient_and_rest(term.body)[0] for term in build.terms_of(other.rest)]
    numbers = [alone.coefficient, *terms, *(part.coefficient for part in other.roots)]
    if any(number.denominator != 1 for number in numbers):
        return Fraction(1)
    return Fraction(gcd(*(int(number) for number in numbers)))


def _raise(board: Board) -> None:
    """Raise both sides to the index of the isolated root, as wholes."""
    line = board.relation
    left, right = _side(line.left, board), _side(line.right, board)
    is_left = len(left.roots) == 1 and left.rest == build.ZERO
    alone, other = (left.roots[0], right) if is_left else (right.roots[0], left)
    index = alone.root.index
    power = Number(str(index))
    says = raised(index, as_wholes=True)
    if not other.roots:
        raised_other: Expr = _powered(other.rest, index)
    elif index == 2:
        raised_other = _squared(other, board)
        if other.rest != build.ZERO:
            says = SQUARE_BOTH_SUM()
    else:
        raise OutOfScope("Roots of a higher index on both sides are not worked yet.")
    own = _powered_root(alone, index)
    whole = [Power(alone.tree, power), Power(other.tree, power)]
    ends = [own, raised_other]
    if not is_left:
        whole.reverse()
        ends.reverse()
    board.equation(whole[0], whole[1], says, RIDES_ALONG)
    board.equation(ends[0], ends[1], says)


def _powered_root(part: RootPart, index: int) -> Expr:
    scale = part.coefficient**index
    return (
        part.root.radicand
        if scale == 1
        else build.product((build.number(scale), part.root.radicand))
    )


def _powered(node: Expr, index: int) -> Expr:
    value = _number(node)
    if value is not None:
        return build.number(value**index)
    number, rest = coefficient_and_rest(node)
    if not isinstance(rest, Sum) and not isinstance(node, Sum):
        return build.times(number**index, Power(rest, Number(str(index))))
    return Power(node, Number(str(index)))


def _squared(side: Side, board: Board) -> Expr:
    """Return (p + c√r)² as p² + 2pc√r + c²r, or (a√r + b√s)² with its middle root.

    Raises:
        OutOfScope: more than one root beside a polynomial.
    """
    if len(side.roots) > 1:
        raise OutOfScope("Three roots, or two beside other terms, are not worked yet.")
    (part,) = side.roots
    inside = _powered_root(part, 2)
    if side.rest == build.ZERO:
        return inside
    twice = _polynomial(build.product((build.number(2 * part.coefficient), side.rest)), board)
    if isinstance(twice, Sum):
        middle: Expr = build.product((twice, part.root))
    else:
        number, rest = coefficient_and_rest(twice.body if isinstance(twice, Signed) else twice)
        number = -number if isinstance(twice, Signed) else number
        body = part.root if rest == build.ONE else build.product((rest, part.root))
        middle = build.times(number, body)
    return build.add(inside, middle, _powered(side.rest, 2))
