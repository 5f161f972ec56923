"""What signs mean by where they stand: ``+-``, braces and square brackets."""

from uchuu_core.notation.tokens import Piece

_SPLITS = {"EQUALS", "RELATION", "OR", "COMMA"}
_TURNS = ("=", "!=", "≠", r"\ne", r"\neq")
_BEFORE_A_SET = {"", "EQUALS", "IN", "ALL_BUT", "UNION", "OR", "COMMA", "OPEN"}
_AFTER_A_SET = {"", "UNION", "OR", "COMMA", "CLOSE", "CLOSE_SET", "RELATION", "EQUALS"}


def meant(found: list[Piece], unknown: str | None) -> list[Piece]:
    """Return the tokens with ``+-``, braces and square brackets settled.

    ``+-`` typed together is ± only on a side without the unknown of an equation whose other side
    holds it; elsewhere it adds a negative. Braces are brackets where a set cannot stand.
    """
    kinds = {piece.type for piece in found}
    if "PLUS_MINUS" in kinds and any(piece.text == "+-" for piece in found):
        found = _plus_minus(found, unknown)
    if "OPEN_SET" in kinds:
        found = _braces(found)
    if "CLOSE_INDEX" in kinds:
        found = _square(found)
    return found


def _plus_minus(found: list[Piece], unknown: str | None) -> list[Piece]:
    groups: list[list[Piece]] = [[]]
    """The sides of the line, with the token between two of them alone in a group."""
    for piece in found:
        if piece.type in _SPLITS:
            groups += [[piece], []]
        else:
            groups[-1].append(piece)
    letters = [{p.text for p in group if p.type == "NAME"} for group in groups]
    unknown = unknown if any(unknown in names for names in letters) else _guessed(groups, letters)
    settled: list[Piece] = []
    is_both = False
    for n, group in enumerate(groups):
        if n % 2 == 0:
            joints = [groups[m][0] for m in (n - 1, n + 1) if 0 < m < len(groups)]
            is_listed = bool(joints) and all(j.type in ("OR", "COMMA") for j in joints)
            if not (is_listed and n):  # a value that goes on a list is as the one before
                is_both = _faces(groups, letters, n, unknown)
        for piece in group:
            if piece.text == "+-" and not is_both:
                settled += [Piece("PLUS", "+", piece.at), Piece("MINUS", "-", piece.at + 1)]
            else:
                settled.append(piece)
    return settled


def _faces(groups: list[list[Piece]], letters: list[set[str]], n: int, unknown: str | None) -> bool:
    """Whether the unknown (a letter that side n has not) stands on the other side of its sign."""
    for m in (n - 2, n + 2):
        if not 0 <= m < len(groups) or groups[(n + m) // 2][0].text not in _TURNS:
            continue
        if unknown in letters[m] - letters[n] or (unknown is None and letters[m] - letters[n]):
            return True
    return False


def _guessed(groups: list[list[Piece]], letters: list[set[str]]) -> str | None:
    """Return the letter that the line is solved for: x, else the only one, else one left alone."""
    every = set().union(*letters)
    if "x" in every or len(every) <= 1:
        return "x" if "x" in every else next(iter(every), None)
    alone = [group[0].text for group in groups if len(group) == 1 and group[0].type == "NAME"]
    return alone[0] if alone else None


def _braces(found: list[Piece]) -> list[Piece]:
    """Return braces as brackets where they hold square brackets or stand inside an expression."""
    settled = list(found)
    opened: list[int] = []
    for place, piece in enumerate(found):
        if piece.type in ("OPEN_SET", "BUILD"):
            opened.append(place)
        elif piece.type == "CLOSE_SET" and opened:
            start = opened.pop()
            if found[start].type == "BUILD":
                continue
            before = found[start - 1].type if start else ""
            after = found[place + 1].type if place + 1 < len(found) else ""
            inside = found[start + 1 : place]
            if (
                before not in _BEFORE_A_SET
                or after not in _AFTER_A_SET
                or any(p.text == "[" for p in inside)
            ):
                settled[start] = Piece("OPEN", "{", found[start].at)
                settled[place] = Piece("CLOSE", "}", piece.at)
    return settled


def _square(found: list[Piece]) -> list[Piece]:
    """Return ``]`` of LaTeX as the end of a bracket, unless it ends the index of a root."""
    settled: list[Piece] = []
    opened: list[str] = []
    for piece in found:
        if piece.type in ("OPEN", "INDEXED_ROOT"):
            opened.append(piece.type)
        elif piece.type == "CLOSE" and opened:
            opened.pop()
        elif piece.type == "CLOSE_INDEX" and (not opened or opened.pop() == "OPEN"):
            piece = Piece("CLOSE", piece.text, piece.at)
        settled.append(piece)
    return settled
