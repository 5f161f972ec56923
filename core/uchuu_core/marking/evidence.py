"""What a judged paper shows: which steps its lines do, which they lose, and what is undecided."""

from dataclasses import dataclass, field

from uchuu_core.answers.checked import Checked, CheckedLine
from uchuu_core.checking.naming import PEN
from uchuu_core.lawbook import marking as said
from uchuu_core.lawbook.law import Family
from uchuu_core.lawbook.marking import CHECKS, STEP_OF, MarkStep
from uchuu_core.lawbook.register import LAWS
from uchuu_core.lawbook.says import Says
from uchuu_core.marking.ways import RESULTS, MarkedWay
from uchuu_core.moves.catalogue import DUE
from uchuu_core.moves.errors import found_otherwise
from uchuu_core.notation.feature_labels import labelled

KEPT = frozenset((found_otherwise.RATIONAL_EXTRANEOUS.key, found_otherwise.RADICAL_EXTRANEOUS.key))
"""Errors that only the missing check made possible."""
_CHECK_LAWS = frozenset(law.key for law in CHECKS)


@dataclass(frozen=True, slots=True)
class Shown:
    """Whether a step, or the check, was done: at which line (None: nowhere in particular), and why."""

    done: bool
    line: int | None
    because: Says


@dataclass(frozen=True, slots=True)
class Fault:
    """A line that does not hold: the error's id (None: not known), its name, the feature that it misstates."""

    line: int
    error: str | None
    name: str | None
    feature: str = ""

    @property
    def is_slip(self) -> bool:
        """Whether the pen slipped and the thinking held."""
        return self.error in PEN

    @property
    def says(self) -> Says:
        """The fault in one sentence."""
        if self.name is None:
            return said.NOT_FOLLOWING(line=self.line)
        return said.NOT_HERE(line=self.line, error=self.name)


@dataclass(slots=True)
class Evidence:
    """What the lines of a paper show along one way."""

    way: tuple[MarkStep, ...]
    steps: dict[str, Shown] = field(default_factory=dict)
    faults: list[Fault] = field(default_factory=list)
    undecided: dict[int, Says] = field(default_factory=dict)
    lucky: dict[int, Says] = field(default_factory=dict)
    checked: int | None = None
    end: Shown | None = None
    """What the end says of steps that no line shows; None where none was reached."""
    _place: int = -1

    def has_done(self, key: str, line: int, because: Says) -> None:
        """Note a step that a line does, and those that must have been done before it.

        Everyday steps come anywhere, and a result is its own: they say nothing of those before them.
        """
        for place, step in enumerate(self.way):
            if step.key == key and not step.is_plain and key not in RESULTS:
                for before in (one for one in self.way[:place] if one.key not in RESULTS):
                    self.steps.setdefault(
                        before.key, Shown(True, line, said.SHOWN_LATER(line=line))
                    )
                self._place = max(self._place, place)
        self.steps.setdefault(key, Shown(True, line, because))

    def has_failed(self, fault: Fault) -> None:
        """Note a line that does not hold: the step that it attempted is lost, or done with a slip."""
        self.faults.append(fault)
        if fault.error in KEPT:
            self.finish(said.SHOWN_LATER(line=fault.line), fault.line)
            return
        step = self._attempted(fault)
        if step is None:
            return
        self._place = max(self._place, self.way.index(step))
        if fault.is_slip:
            because = said.IN_LINE_WITH_SLIP(
                line=fault.line, does=step.does, error=(fault.name or "").lower()
            )
            self.steps.setdefault(step.key, Shown(True, fault.line, because))
        else:
            self.steps[step.key] = Shown(False, fault.line, fault.says)

    def _attempted(self, fault: Fault) -> MarkStep | None:
        """Return the step that the line should have done: its feature, what its error distorts, else the next."""
        if fault.feature:
            return next((step for step in self.way if step.key == fault.feature), None)
        due = DUE.get(fault.error or "", Family.NONE)
        open_ones = [step for step in self.way[self._place + 1 :] if step.key not in self.steps]
        fitting = [step for step in open_ones if any(law.families & due for law in step.laws)]
        return next(iter(fitting or open_ones), None)

    def finish(self, because: Says, line: int | None = None) -> None:
        """The end was reached: what is not lost was done, but for results, which have lines of their own."""
        self.end = Shown(True, line, because)
        for step in self.way:
            if step.key not in RESULTS:
                self.steps.setdefault(step.key, self.end)

    @property
    def lacks_results(self) -> bool:
        """Whether results are asked for that no line gives."""
        return any(step.key in RESULTS and step.key not in self.steps for step in self.way)


def evidence_of(checked: Checked, ways: tuple[MarkedWay, ...]) -> Evidence:
    """Return what the paper shows, along the accepted way that it shares most steps with."""
    seen = {step.key for line in checked["lines"] if _holds(line) for step in _steps(line)}
    way = max(ways, key=lambda way: len(seen & way.laws.keys()), default=None)
    found = Evidence(way.steps if way else ())
    known: set[str] = set()
    for number, line in enumerate(checked["lines"], start=1):
        _look(number, line, found, known)
    return found


def _look(number: int, line: CheckedLine, found: Evidence, known: set[str]) -> None:
    role = line.get("role", "chain")
    if line["verdict"] == "unreadable":
        found.undecided[number] = said.UNREADABLE(line=number)
    elif line["verdict"] == "unproved":
        found.undecided[number] = said.UNDECIDED(line=number)
    elif line["verdict"] in ("wrong", "loses"):
        if role == "chain" or role == "remark":
            error = line.get("error")
            key, name = (error["id"], error["name"]) if error else (None, None)
            fault = Fault(number, key, name, _feature(line))
            if fault.error not in known or fault.feature:  # an error is paid once
                known.update([fault.error] if fault.error else [])
                found.has_failed(fault)
    else:
        if role == "check" or _CHECK_LAWS & {*line.get("laws", ()), line.get("law", "")}:
            found.checked = found.checked or number
        for step in _steps(line):
            found.has_done(step.key, number, said.IN_LINE(line=number, does=step.does))
        if "doubt" in line:
            found.lucky[number] = said.IN_LINE_BY_LUCK(line=number, error=line["doubt_name"])


def _holds(line: CheckedLine) -> bool:
    return line["verdict"] in ("ok", "may-add", "unfinished")


def _feature(line: CheckedLine) -> str:
    """Return the step of the feature that a line states; empty where it states none."""
    found = labelled(line["text"]) if line.get("feature") else None
    return said.FEATURES.get(found[0], "") if found else ""


def _steps(line: CheckedLine) -> list[MarkStep]:
    feature = _feature(line)
    if feature:
        return [step for step in said.STEPS if step.key == feature]
    laws = [LAWS[key] for key in line.get("laws", ()) if key in LAWS]
    return list(dict.fromkeys(STEP_OF[law] for law in laws if law in STEP_OF))
