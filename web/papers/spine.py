"""One item with the class on one spine: who passed each stop, who left where, who came by another way."""

from collections import Counter
from collections.abc import Iterable
from functools import lru_cache
from typing import Any

from asking.asker import Asker
from asking.shown import shown_line
from uchuu_core.failures import Failure
from uchuu_core.notation import read
from uchuu_core.tree.build import without_brackets
from uchuu_core.tree.shape import unordered

from papers.models import SittingItem, Work
from papers.naming import left_at, names_of, told

Line = dict[str, Any]


def class_spine(item: SittingItem) -> dict[str, Any]:
    """Return the worked example of an item with all papers on it.

    Every paper that was marked stands in one of ``arrived``, ``leavings``, ``unexplained``, ``stopped`` and
    ``undecided``; ``passed`` of a stop counts those who wrote it, or a later one, before they left. ``others``
    are those of the arrived who wrote no line of the example between the problem and the answer.
    """
    works = list(item.works.select_related("student").order_by("student__position", "pk"))
    way = _way(item)
    shapes = [_shape(line["text"]) for line in way]
    names = names_of(item)
    stands = [_stand(work, shapes, names) for work in works if work.judged is not None]
    return {
        "stops": [
            {**shown_line(line["text"]), "passed": sum(one["after"] >= number for one in stands)}
            for number, line in enumerate(way)
        ],
        "leavings": _leavings(one for one in stands if one["is"] == "left" and one["error"]),
        "unexplained": _leavings(one for one in stands if one["is"] == "left" and not one["error"]),
        "stopped": _leavings(one for one in stands if one["is"] == "stopped"),
        "arrived": _students(one for one in stands if one["is"] == "arrived"),
        "others": _students(one for one in stands if one["is"] == "arrived" and one["other"]),
        "luck": _students(one for one in stands if one["luck"]),
        "undecided": _students(one for one in stands if one["is"] == "undecided"),
        "waiting": sum(work.judged is None for work in works),
        "of": len(works),
    }


def _way(item: SittingItem) -> list[Line]:
    """Return the given and the lines by which it is worked; the given alone where that cannot be."""
    given = {"text": item.given}
    try:
        sitting = item.sitting
        worked = Asker(sitting.school_class.teacher, sitting.house).ask("work", item)
    except Failure:
        return [given]
    return [given, *worked["lines"]]


@lru_cache(maxsize=4096)
def _shape(text: str) -> Any:
    """Return how a line is written, whatever the order of its terms; None where it cannot be read."""
    try:
        return unordered(without_brackets(read(text)))
    except Failure:
        return None


def _stand(work: Work, way: list[Any], names: dict[str, Any]) -> dict[str, Any]:
    judged = work.judged or {}
    lines: list[Line] = judged.get("lines", [])
    at = left_at(judged)
    is_soon = bool(at) and lines[at - 1]["verdict"] == "unfinished"
    before = lines[: at - 1] if at and not is_soon else lines
    written = [
        _shape(line.get("mathematics") or line["text"])
        for line in before
        if line.get("role", "chain") == "chain" and line["verdict"] in ("ok", "unfinished")
    ]
    after = max((n for n, shape in enumerate(way) if shape and shape in written), default=0)
    answer = judged.get("answer", {})
    stand = {
        "student": work.student_id,
        "after": after,
        "line": lines[at - 1] if at else (lines[-1] if lines else None),
        "end": _end(lines),
        "parallel": False,
        "other": False,
        "luck": any(line.get("doubt") for line in lines),
        **told(judged, names),
    }
    if at and not is_soon:
        rest = [line for line in lines[at:] if line.get("role", "chain") == "chain"]
        parallel = bool(rest) and all(line["verdict"] == "ok" for line in rest)
        return stand | {"is": "left", "parallel": parallel}
    if not answer or judged.get("ask"):
        return stand | {"is": "undecided"}
    if answer.get("right") and answer.get("finished"):
        between = [n for n in range(1, len(way) - 1) if way[n] in written]
        is_other = len(way) > 2 and len(written) > 1 and not between
        return stand | {"is": "arrived", "after": len(way) - 1, "other": is_other}
    return stand | {"is": "stopped" if lines else "undecided"}


def _end(lines: list[Line]) -> str:
    chain = [line for line in lines if line.get("role", "chain") == "chain"]
    return str((chain[-1].get("mathematics") or chain[-1]["text"]) if chain else "")


def _leavings(stands: Iterable[dict[str, Any]]) -> list[dict[str, Any]]:
    """Return those who left in groups: by error and by where, or by their line where no error is named."""
    groups: dict[Any, list[dict[str, Any]]] = {}
    for one in stands:
        text = one["line"]["text"] if one["line"] else ""
        groups.setdefault((one["after"], one["error"] or _shape(text) or text), []).append(one)
    found = [_leaving(members) for members in groups.values()]
    return sorted(found, key=lambda one: (one["after"], -len(one["students"])))


def _leaving(members: list[dict[str, Any]]) -> dict[str, Any]:
    lines = Counter(one["line"]["text"] if one["line"] else "" for one in members)
    ends = Counter(one["end"] for one in members)
    line = lines.most_common(1)[0][0]
    return {
        "after": members[0]["after"],
        "error": members[0]["error"],
        "name": members[0]["error_name"],
        "line": shown_line(line),
        "wrote": [shown_line(text) for text, _ in lines.most_common()],
        "ends": [{**shown_line(text), "count": count} for text, count in ends.most_common(3)],
        "parallel": sum(one["parallel"] for one in members),
        "students": _students(members),
    }


def _students(stands: Iterable[dict[str, Any]]) -> list[int]:
    return [one["student"] for one in stands]
