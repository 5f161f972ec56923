"""Whose turn it is: teachers share the algebra's workers fairly, and a verdict never waits behind working.

A call waits here, not at a worker: its time limit begins when a worker takes it. Teachers who wait take
turns, one call each. Where somebody types, long operations leave one worker to the quick
ones: first verdicts, then why.
"""

import threading
from collections import Counter, OrderedDict, deque
from collections.abc import Callable, Hashable, Iterator
from contextlib import contextmanager
from enum import Enum

from uchuu_core.failures import Failure

HasLeft = Callable[[], bool]
A_LOOK = 0.1
"""Seconds between two looks whether somebody who waits is still there."""


class Kind(Enum):
    """How somebody waits for an operation: in the middle of a line, before its end, or for a while."""

    VERDICT = "verdict"
    WHY = "why"
    LONG = "long"


_KINDS = {"read": Kind.VERDICT, "verdict": Kind.VERDICT, "check": Kind.WHY}
MOST_AT_ONCE = 8
"""Long calls of one teacher that wait or run: more than the connections that one browser opens."""
MOST_QUICK = 3 * MOST_AT_ONCE
"""Quick ones: whoever types fast gives calls up that are still worked here."""
MOST_WAITING = 12
"""Calls for more than a verdict that wait at one server process: each keeps a thread from whoever comes next."""


def stays() -> bool:
    """Say of whoever asked that they still wait."""
    return False


class Busy(Failure):
    """Too many calls of one teacher, or of everybody, are waiting already."""

    code = "busy"


class Gone(Exception):
    """Whoever asked has left before it was their turn: nobody waits for the answer."""


class _Waiting:
    """Calls that wait, by teacher: the next one is of the teacher who waited longest for a turn."""

    def __init__(self) -> None:
        self._of: OrderedDict[Hashable, deque[threading.Event]] = OrderedDict()

    def __len__(self) -> int:
        return sum(map(len, self._of.values()))

    def add(self, who: Hashable) -> threading.Event:
        ticket = threading.Event()
        self._of.setdefault(who, deque()).append(ticket)
        return ticket

    def take_back(self, who: Hashable, ticket: threading.Event) -> None:
        """Take a ticket out that nobody waits for any more."""
        tickets = self._of.get(who)
        if tickets and ticket in tickets:
            tickets.remove(ticket)
            if not tickets:
                del self._of[who]

    def next(self) -> threading.Event:
        who, tickets = next(iter(self._of.items()))
        ticket = tickets.popleft()
        self._of.move_to_end(who)
        if not tickets:
            del self._of[who]
        return ticket


class Turns:
    """The turns at *workers* processes, of which *kept* are left to quick calls."""

    def __init__(self, workers: int, kept: int = 1) -> None:
        self._free, self._long_free = workers, max(1, workers - kept)
        self._waiting = {kind: _Waiting() for kind in Kind}
        self._of: Counter[tuple[Hashable, Kind]] = Counter()
        self._lock = threading.Lock()
        self._long_is_next = False

    @contextmanager
    def turn(self, who: Hashable, operation: str, has_left: HasLeft = stays) -> Iterator[None]:
        """Wait for a worker, and give it back afterwards; *has_left* says whether anybody still waits.

        Raises:
            Busy: *who* has as many calls of this kind here already as one may have, or everybody has.
            Gone: *who* left before their turn.
        """
        kind = _KINDS.get(operation, Kind.LONG)
        is_long = kind is Kind.LONG
        with self._lock:
            self._refuse(who, kind)
            self._of[who, kind] += 1
            ticket = self._waiting[kind].add(who)
            self._grant()
        try:
            while not ticket.wait(A_LOOK):
                if has_left():
                    raise Gone
            yield
        finally:
            with self._lock:
                self._of[who, kind] -= 1
                if ticket.is_set():
                    self._free += 1
                    self._long_free += is_long
                else:
                    self._waiting[kind].take_back(who, ticket)
                self._grant()

    def _refuse(self, who: Hashable, kind: Kind) -> None:
        most = MOST_AT_ONCE if kind is Kind.LONG else MOST_QUICK
        if who is not None and self._of[who, kind] >= most:
            raise Busy("Several of your calculations are still running. Try again in a moment.")
        if kind is Kind.VERDICT:
            return
        if len(self._waiting[Kind.WHY]) + len(self._waiting[Kind.LONG]) >= MOST_WAITING:
            raise Busy("Much is being worked out for others just now. Try again in a moment.")

    def _grant(self) -> None:
        """Hand the free workers to those who wait; quick and long ones in turn where both do."""
        verdicts, why = self._waiting[Kind.VERDICT], self._waiting[Kind.WHY]
        long = self._waiting[Kind.LONG]
        while self._free:
            quick = verdicts or why
            may_be_long = bool(long) and self._long_free > 0
            if not (quick or may_be_long):
                return
            is_long = may_be_long and (self._long_is_next or not quick)
            self._long_is_next = not is_long
            self._free -= 1
            self._long_free -= is_long
            (long if is_long else quick).next().set()
