"""Worker processes for the algebra: reused, and ended when a call takes too long.

A FLINT call cannot be interrupted from Python, and its precision is global to a process: so the
algebra never runs in a thread of a request.
"""

import atexit
import json
import threading
from collections.abc import Callable, Hashable
from typing import Any, TypeVar, cast

from django.conf import settings
from uchuu_core.failures import Failure

from algebra import worker
from algebra.processes import Died, Late, Processes
from algebra.turns import HasLeft, Turns, stays

T = TypeVar("T")
_lock = threading.Lock()
_processes: Processes | None = None
_turns = Turns(settings.ALGEBRA_WORKERS, kept=0 if settings.DOES_JOBS else 1)


class TookTooLong(Failure):
    """The call passed the hard time limit; its worker was replaced."""

    code = "time-out"


def begin() -> None:
    """Start the workers; they warm up by themselves, nobody waits for it."""
    _running()


def _running() -> Processes:
    global _processes
    with _lock:
        if _processes is None:
            _processes = Processes(settings.ALGEBRA_WORKERS, gives_way=settings.ALGEBRA_GIVES_WAY)
            atexit.register(close)
        return _processes


def close(*, forget: bool = True) -> None:
    """End the workers; ``forget=False`` leaves their places as they are, as a crash would."""
    global _processes
    with _lock:
        if _processes is not None:
            _processes.end()
            if forget:
                _processes = None


def run(operation: str, record: dict[str, Any], whose: Hashable = None) -> dict[str, Any]:
    """Do as ``run_text``, and read the answer."""
    found: dict[str, Any] = json.loads(run_text(operation, record, whose))
    return found


def run_many(
    operation: str, records: list[dict[str, Any]], whose: Hashable = None
) -> list[dict[str, Any]]:
    """Return the core's answers to several records, in order; ``{"failure": …}`` where it refuses one.

    Raises:
        Failure: ``TookTooLong`` or ``Busy``, for all of them.
    """
    found: list[dict[str, Any]] = json.loads(apart(worker.answers, operation, records, whose=whose))
    return found


def run_text(
    operation: str,
    record: dict[str, Any],
    whose: Hashable = None,
    has_left: HasLeft = stays,
) -> str:
    """Return the core's answer to one request record as JSON, asked for the teacher *whose* it is.

    Raises:
        Failure: what the core refuses, ``TookTooLong`` or ``Busy``.
        Gone: whoever asked had left (*has_left*) before a worker was free.
    """
    is_verdict = operation == "check" and record.get("explains") is False
    with _turns.turn(whose, "verdict" if is_verdict else operation, has_left):
        is_answer, text = _done(worker.answer, operation, record, about=record.get("given"))
    if not is_answer:
        raise Relayed(**json.loads(text)["failure"])
    return str(text)


def apart(function: Callable[..., T], *words: Any, whose: Hashable = None) -> T:
    """Call *function* in a worker: what may take long, or break, takes no thread of a request with it.

    Raises:
        Failure: ``TookTooLong`` or ``Busy``.
    """
    with _turns.turn(whose, function.__name__):
        return cast("T", _done(function, *words))


def _done(function: Callable[..., Any], *words: Any, about: Hashable = None) -> Any:
    """Ask a worker; where it died over the call another one is asked, once."""
    for attempt in (1, 2):
        try:
            return _running().call(function, words, seconds=settings.ALGEBRA_SECONDS, about=about)
        except Late:
            break
        except Died:
            if attempt == 2:
                raise TookTooLong(
                    "This broke the calculation off twice. Use smaller numbers."
                ) from None
    seconds = f"{settings.ALGEBRA_SECONDS:g}"
    raise TookTooLong(
        f"This was not done after {seconds} seconds and was stopped. Use smaller numbers."
    )


class Relayed(Failure):
    """A failure that a worker reported, with its own code."""

    def __init__(self, code: str, message: str, at: int | None) -> None:
        super().__init__(message, at)
        self.code = code
