"""Calling the tray. It is another's program: whatever it answers is held against its description."""

import json
import urllib.error
import urllib.request
from pathlib import Path
from typing import Any
from uuid import UUID

from api.documents import fault_in
from api.entrance import says_unstorable, unstorable
from api.failures import Refused
from django.conf import settings

MOST_BYTES = 1_000_000
SECONDS = 5
_SCHEMA = Path(__file__).parent / "format" / "delivery.schema.json"


class TrayFails(Refused):
    """The tray does not answer, or not as it should."""

    def __init__(self, why: str) -> None:
        says = f"The tray {why}. What came in is kept; fetch again later."
        super().__init__(503, "tray", says)


class NotAPaper(Exception):
    """What the tray holds under an id is no paper; says why."""


def secret() -> str:
    """Return the secret that the tray and we share."""
    try:
        return (Path(settings.STATE) / "tray-secret").read_text().strip()
    except OSError:
        return ""


def waiting(sitting: str) -> list[str]:
    """Return the ids that wait for a sitting.

    Raises:
        TrayFails: it does not answer as it should.
    """
    found = _called("GET", f"/papers?sitting={sitting}")
    ids = found.get("waiting") if isinstance(found, dict) else None
    if not isinstance(ids, list) or not all(_is_id(one) for one in ids):
        raise TrayFails("does not answer as it should")
    return list(dict.fromkeys(ids))


def paper(name: str, sitting: str) -> dict[str, Any]:
    """Return one paper of a sitting.

    Raises:
        TrayFails: the tray does not answer.
        NotAPaper: what it answers is not this paper of this sitting.
    """
    found = _held(_called("GET", f"/papers/{name}"))
    if (found["id"], found["sitting"]) != (name, sitting):
        raise NotAPaper("Another paper was handed over than was asked for.")
    return found


def read(content: bytes) -> dict[str, Any]:
    """Return the paper that *content* is.

    Raises:
        NotAPaper: it is none.
    """
    try:
        return _held(json.loads(content))
    except (ValueError, RecursionError):
        raise NotAPaper("It is not JSON.") from None


def _held(found: Any) -> dict[str, Any]:
    """Return *found*, held against the description of a delivery."""
    if fault := fault_in(found, _SCHEMA):
        raise NotAPaper(fault)
    character = unstorable(found)
    if character:
        raise NotAPaper(says_unstorable(character))
    try:
        UUID(found["sitting"])
    except ValueError:
        raise NotAPaper("Its sitting is none.") from None
    record: dict[str, Any] = found
    return record


def acknowledge(name: str) -> None:
    """Tell the tray that a paper is stored; told twice it is the same.

    Raises:
        TrayFails: the tray does not answer.
    """
    _called("POST", f"/papers/{name}/taken")


def put(papers: list[dict[str, Any]]) -> int:
    """Put papers in, as a school's service would; return how many are new.

    Raises:
        TrayFails: the tray does not answer.
    """
    return int(_called("POST", "/papers", papers)["new"])


def push(name: str) -> None:
    """Have the tray hand over a paper by itself.

    Raises:
        TrayFails: it could not.
    """
    _called("POST", f"/papers/{name}/push")


def _is_id(one: Any) -> bool:
    return isinstance(one, str) and 0 < len(one) <= 64 and one.replace("-", "").isalnum()


def _called(method: str, path: str, body: Any = None) -> Any:
    if not settings.TRAY_URL:
        raise TrayFails("is not running")
    request = urllib.request.Request(
        settings.TRAY_URL + path,
        method=method,
        data=json.dumps(body).encode() if body is not None else b"" if method == "POST" else None,
        headers={"Authorization": f"Bearer {secret()}", "Content-Type": "application/json"},
    )
    try:
        with urllib.request.urlopen(request, timeout=SECONDS) as reply:
            content = reply.read(MOST_BYTES + 1)
    except urllib.error.HTTPError as refusal:
        raise TrayFails(f"refused (it said {refusal.code})") from None
    except (OSError, ValueError, urllib.error.URLError):
        raise TrayFails("does not answer") from None
    if len(content) > MOST_BYTES:
        raise TrayFails("hands over more than a paper can hold")
    try:
        return json.loads(content)
    except (ValueError, RecursionError):
        raise TrayFails("does not answer as it should") from None
