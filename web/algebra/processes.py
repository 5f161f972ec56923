"""Processes that calls are handed to, each over a pipe of its own: no thread stands between a caller and its answer.

A process answers one call at a time. What takes too long is ended with its process, and another one begins.
"""

import multiprocessing
import signal
import threading
from collections import deque
from collections.abc import Callable, Hashable
from multiprocessing.connection import Connection
from typing import Any

from algebra import worker

KNOWN = 32
"""So many things that it was last asked about a process is taken to remember."""


class Late(Exception):
    """No answer came in time: the process was ended."""


class Died(Exception):
    """The process ended before it answered."""


def _serve(pipe: Connection) -> None:
    """Answer calls until nobody is at the other end any more."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)
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
    def __init__(self) -> None:
        context = multiprocessing.get_context("spawn")
        self._pipe, theirs = context.Pipe()
        self._process = context.Process(target=_serve, args=(theirs,), daemon=True)
        self._process.start()
        theirs.close()
        self.known: deque[Hashable] = deque(maxlen=KNOWN)

    @property
    def lives(self) -> bool:
        return self._process.is_alive()

    def call(self, function: Callable[..., Any], words: tuple[Any, ...], seconds: float) -> Any:
        try:
            self._pipe.send((function, words))
            if not self._pipe.poll(seconds):
                raise Late
            is_answer, found = self._pipe.recv()
        except (EOFError, OSError):
            raise Died from None
        if not is_answer:
            raise _Raised(found)
        return found

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
    """So many processes; whoever calls has a turn, so that one of them is free."""

    def __init__(self, count: int) -> None:
        self._lock = threading.Lock()
        self._idle = [_Process() for _ in range(count)]

    def call(
        self,
        function: Callable[..., Any],
        words: tuple[Any, ...],
        *,
        seconds: float,
        about: Hashable = None,
    ) -> Any:
        """Return what *function* makes of *words*, by the process that was asked *about* the same before.

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
            process = _Process()
        process.known.append(about)
        return process

    def _give_back(self, process: _Process) -> None:
        with self._lock:
            self._idle.append(process)
