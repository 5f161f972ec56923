"""Asking the core through a memory in the database: a set of forty problems opens at once.

Only questions whose answer depends on nothing but the question are remembered. A change of the core's
code makes every answer unknown again.
"""

import hashlib
import json
from collections.abc import Hashable
from functools import lru_cache
from pathlib import Path
from typing import Any

import uchuu_core
from uchuu_core.failures import Failure

from algebra import pool
from algebra.models import Known
from algebra.turns import Busy


@lru_cache(maxsize=1)
def core() -> str:
    """Return a digest of the core's code and words."""
    folder = Path(uchuu_core.__file__).parent
    found = hashlib.sha256()
    for file in sorted(folder.rglob("*")):
        if file.suffix in (".py", ".lark", ".json", ".txt") and "tests" not in file.parts:
            found.update(file.read_bytes())
    return found.hexdigest()


def digest_of(operation: str, record: dict[str, Any]) -> str:
    """Return the key under which the answer to a question is kept."""
    question = json.dumps([core(), operation, record], sort_keys=True, ensure_ascii=False)
    return hashlib.sha256(question.encode()).hexdigest()


def remembered(operation: str, records: list[dict[str, Any]]) -> list[dict[str, Any] | None]:
    """Return the answers that are known already, in order; None where one is not. One query."""
    digests = [digest_of(operation, record) for record in records]
    found = Known.objects.in_bulk(digests)
    return [found[digest].answer if digest in found else None for digest in digests]


def ask(operation: str, record: dict[str, Any], whose: Hashable = None) -> dict[str, Any]:
    """Return the core's answer, remembered or worked out now for the teacher *whose* it is.

    Raises:
        Failure: what the core refuses; what took too long is not remembered.
    """
    digest = digest_of(operation, record)
    known = Known.objects.filter(digest=digest).first()
    if known is None:
        try:
            answer = pool.run(operation, record, whose)
        except (pool.TookTooLong, Busy):
            raise
        except Failure as failure:
            answer = {"failure": failure.as_record()}
        if not answer.get("unexplained"):  # time ran out for its reasons: asked again, it goes on
            Known.objects.update_or_create(digest=digest, defaults={"answer": answer})
    else:
        answer = known.answer
    if "failure" in answer:
        raise pool.Relayed(**answer["failure"])
    return answer
