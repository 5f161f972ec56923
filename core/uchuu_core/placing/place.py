"""The ``place`` operation of the contract: each group of answers where it belongs on the example."""

from dataclasses import replace

from uchuu_core.answers.placed import Explained, Placed, PlacedGroup
from uchuu_core.checking.own_errors import wording_of
from uchuu_core.contract import Problem
from uchuu_core.notation import plain, shown
from uchuu_core.placing.explaining import Explaining, Way, explaining_of
from uchuu_core.placing.reading import Group, grouped


def place(problem: Problem) -> Placed:
    """Return the groups of the problem's ``answers``, each where it belongs on the worked example.

    The example is *problem*'s own lines as far as they hold, or the worked lines. A problem that cannot
    be worked still has its answers grouped and judged; its wrong ones are unexplained.

    Raises:
        Unreadable, TooLarge: the given cannot be read.
    """
    explaining = explaining_of(replace(problem, answers=()))
    example = explaining.example
    groups = grouped(problem.answers, example.context)
    return {
        "groups": [_record(group, explaining) for group in groups],
        "lines": [{"text": plain(line), **shown(line)} for line in example.lines],
        "numbers": example.numbers,
    }


def _record(group: Group, explaining: Explaining) -> PlacedGroup:
    line = group.line
    written = {"latex": "", "spoken": ""} if line is None else shown(line)
    record: PlacedGroup = {
        "members": group.members,
        "value": group.text if line is None else plain(line),
        "latex": written["latex"],
        "spoken": written["spoken"],
        "where": "unexplained" if group.standing == "wrong" else group.standing,
        "errors": [],
    }
    if line is None or group.standing != "wrong":
        return record
    ways = explaining.ways_to(line)
    if not ways:
        return record
    record |= {"where": "fork", "errors": [_explained(way, explaining) for way in ways]}
    asked = explaining.tells_apart(ways)
    if asked is not None:
        after, right = asked
        record |= {"tells_apart": plain(right), "tells_apart_latex": shown(right)["latex"]}
        record["tells_after"] = explaining.example.numbers[after]
    return record


def _explained(way: Way, explaining: Explaining) -> Explained:
    own = explaining.example.context.problem.own
    wording = wording_of(way.error, own)
    after = way.after if way.method else explaining.example.numbers[way.after]
    record: Explained = {
        "id": way.error,
        "name": wording.name,
        "says": wording.repair,
        "after": after,
        "wrong": plain(way.wrong),
        "wrong_latex": shown(way.wrong)["latex"],
    }
    if way.also:
        record |= {"also": way.also, "also_name": wording_of(way.also, own).name}
    if way.method:
        record["method"] = way.method
    return record
