"""Lines with ± and "or" written out as single relations."""

from itertools import product as choices

from uchuu_core.kernel.points import NotRational
from uchuu_core.tree.build import as_term
from uchuu_core.tree.nodes import Either, Line, Signed, Sum, Term
from uchuu_core.tree.paths import replace_at, walk


def branches(line: Line, most: int = 8) -> list[Line]:
    """Return *line* with each ± written out both ways, upper sign first.

    Every combination of signs is taken (``x = a ± b`` has two); Either gives its options.

    Raises:
        NotRational: more than *most* branches.
    """
    if isinstance(line, Either):
        return [branch for option in line.options for branch in branches(option)]
    places = [
        (path, part)
        for path, part in walk(line)
        if (isinstance(part, Signed) and part.sign == "+-")
        or (isinstance(part, Sum) and any(t.sign == "+-" for t in part.terms))
    ]
    if not places:
        return [line]
    if 2 ** len(places) > most:
        raise NotRational
    found: list[Line] = []
    for signs in choices("+-", repeat=len(places)):
        branch: Line = line
        for (path, part), sign in reversed(list(zip(places, signs, strict=True))):
            if isinstance(part, Sum):
                written = tuple(
                    as_term(t.body, "-" if sign == "-" else "+") if t.sign == "+-" else t
                    for t in part.terms
                )
                branch = replace_at(branch, path, Sum(tuple(Term(t.sign, t.body) for t in written)))
            elif isinstance(part, Signed):
                body = part.body
                branch = replace_at(branch, path, body if sign == "+" else Signed("-", body))
        found.append(branch)
    return found
