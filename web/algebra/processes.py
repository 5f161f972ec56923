"""Processes that calls are handed to, each over a pipe of its own: no thread stands between a caller and its answer.

A process answers one call at a time. What takes too long is ended with its process, and another one begins.
"""

import multiprocessing
import os
import signal
import threading
import time
from collections import deque
from collections.abc import Callable, Hashable
from multiprocessing.connection import Connection
from pathlib import Path
from typing import Any

from algebra import worker

KNOWN = 32
"""So many things that it was last asked about a process is taken to remember."""
LEAST = 19
"""The niceness that leaves the processor to all others."""
MOST_WAITS = 4
"""So many times its seconds a call may last where others have the processor."""
_TICKS = os.sysconf("SC_CLK_TCK")
A_LOOK = 0.25
"""Seconds between two looks how long a call was worked on."""


class Late(Exception):
    """No answer came in time: the process was ended."""


class Died(Exception):
    """The process ended before it answered."""


def give_way() -> None:
    """Leave the processor to others: run only when they do not want to, and never on its first core."""
    os.nice(LEAST)
    cores = sorted(os.sched_getaffinity(0))
    os.sched_setaffinity(0, cores[1:] or cores)


def _serve(pipe: Connection, gives_way: bool) -> None:
    """Answer calls until nobody is at the other end any more."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    if gives_way:
        give_way()
    worker.warm()
    while True:
        try:
            function, words = pipe.recv()
        except (EOFError, OSError):
            return
        try:
            answer = True, function(*words)
        except Exception as wrong:  # it is raised where it was asked
            answer = False, wrong
        try:
            pipe.send(answer)
        except OSError:
            return
        except Exception as wrong:  # what cannot be sent
            pipe.send((False, TypeError(str(wrong))))


class _Process:
    def __init__(self, gives_way: bool) -> None:
        context = multiprocessing.get_context("spawn")
        self._pipe, theirs = context.Pipe()
        self._process = context.Process(target=_serve, args=(theirs, gives_way), daemon=True)
        self._process.start()
        theirs.close()
        self.known: deque[Hashable] = deque(maxlen=KNOWN)

    @property
    def lives(self) -> bool:
        return self._process.is_alive()

    def call(self, function: Callable[..., Any], words: tuple[Any, ...], seconds: float) -> Any:
        try:
            self._pipe.send((function, words))
            self._wait(seconds)
            is_answer, found = self._pipe.recv()
        except (EOFError, OSError):
            raise Died from None
        if not is_answer:
            raise _Raised(found)
        return found

    def _wait(self, seconds: float) -> None:
        """Wait for an answer that takes so many seconds of work, however busy the processor is with others.

        Raises:
            Late: it takes longer; or nothing came for ``MOST_WAITS`` times as long.
        """
        before, ends = self._worked(), time.monotonic() + MOST_WAITS * seconds
        left = seconds
        while not self._pipe.poll(left):
            left = min(seconds - (self._worked() - before), ends - time.monotonic())
            if left <= 0:
                raise Late
            left = max(left, A_LOOK)

    def _worked(self) -> float:
        """Return for how many seconds the process has had a processor; 0 where it has ended."""
        try:
            told = Path(f"/proc/{self._process.pid}/stat").read_text()
        except OSError:
            return 0.0
        fields = told.rpartition(")")[2].split()
        return sum(map(int, fields[11:13])) / _TICKS

    def end(self) -> None:
        self._process.kill()
        self._process.join()
        self._pipe.close()


class _Raised(Exception):
    """Holds what the function raised: its process is as good as before."""

    def __init__(self, error: Exception) -> None:
        super().__init__(error)
        self.error = error


class Processes:
    """So many processes; whoever calls has a turn, so that one of them is free.

    *gives_way*: they leave the processor to others (``give_way``).
    """

    def __init__(self, count: int, *, gives_way: bool = False) -> None:
        self._lock, self._gives_way = threading.Lock(), gives_way
        self._idle = [_Process(gives_way) for _ in range(count)]

    def call(
        self,
        function: Callable[..., Any],
        words: tuple[Any, ...],
        *,
        seconds: float,
        about: Hashable = None,
    ) -> Any:
        """Return what *function* makes of *words*, by the process that was asked *about* the same before.

        It has *seconds* of work for it: how busy the machine is with others is not held against it.

        New things go to the one that answered last: problems are like each other, and it remembers most.

        Raises:
            Late, Died: there is no answer; who calls next has another process.
        """
        process = self._taken(about)
        try:
            found = process.call(function, words, seconds)
        except _Raised as raised:
            self._give_back(process)
            raise raised.error from None
        except BaseException:  # its answer may still come: nobody may take it for another one
            process.end()
            raise
        self._give_back(process)
        return found

    def end(self) -> None:
        """End those that are idle: what they would have answered next, others will."""
        for process in self._idle:
            process.end()

    def _taken(self, about: Hashable) -> _Process:
        process = None
        with self._lock:
            if self._idle:
                place = next((n for n, one in enumerate(self._idle) if about in one.known), -1)
                process = self._idle.pop(place)
        if process is not None and not process.lives:
            process.end()
            process = None
        if process is None:
            process = _Process(self._gives_way)
        process.known.append(about)
        return process

    def _give_back(self, process: _Process) -> None:
        with self._lock:
            self._idle.append(process)
