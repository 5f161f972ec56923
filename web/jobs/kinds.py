"""The kinds of long work: each app that has some registers it here; this module knows none of them."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from jobs.models import Job


@dataclass(frozen=True, slots=True)
class Kind:
    """How a kind of job is done.

    Attributes:
        plan: gives what each step is given; a list of JSON values.
        step: does one step; may be done twice when a worker was killed, so it stores nothing.
        finish: stores what came out, in one transaction; gives the outcome, and in a sentence what could
            not be done because its ground changed meanwhile (empty where nothing did).
        begin: called when a worker starts, so that the first job is as fast as the next.
    """

    plan: Callable[[Job], list[Any]]
    step: Callable[[Job, Any], Any]
    finish: Callable[[Job], tuple[Any, str]]
    begin: Callable[[], None] | None = None


KINDS: dict[str, Kind] = {}


def register(name: str, kind: Kind) -> None:
    """Make a kind of job known, once, when its app is ready."""
    KINDS[name] = kind
