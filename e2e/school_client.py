"""A browser's session at the school, without a browser."""

import json
import time
import urllib.error
import urllib.request
from typing import Any

from school import NAME, School

GOOD = "quay-lantern-7"


class Client:
    """A browser's session at the school, without a browser; through the proxy, or at one host alone."""

    def __init__(self, school: School, at: int | None = None) -> None:
        self.school, self._at, self.cookies = school, at, {"": ""}
        self.cookies.clear()
        self.call("GET", "/session")

    def call(self, method: str, path: str, body: Any = None) -> tuple[int, Any]:
        """Make one call; return status and record."""
        headers = {
            "Content-Type": "application/json",
            "Cookie": "; ".join(f"{name}={value}" for name, value in self.cookies.items()),
            "X-CSRFToken": self.cookies.get("__Host-csrftoken", ""),
            "Referer": f"https://{NAME}/",
        }
        sent = json.dumps(body).encode() if body is not None else None
        if self._at is None:
            status, got, content = self.school.call(method, f"/api{path}", sent, **headers)
            found = got.get("Set-Cookie", "")
        else:
            status, found, content = self._direct(method, path, sent, headers)
        for part in found.replace("Secure,", "Secure\n").split("\n"):
            name, _, value = part.strip().split(";")[0].partition("=")
            if name:
                self.cookies[name] = value
        try:
            return status, json.loads(content) if content else None
        except ValueError:
            return status, content

    def _direct(
        self, method: str, path: str, body: bytes | None, headers: dict[str, str]
    ) -> tuple[int, str, bytes]:
        """Ask one host as the proxy would."""
        address = self.school.hosts[self._at or 0].address
        forwarded = {"Host": NAME, "X-Forwarded-Proto": "https", "X-Forwarded-For": "192.0.2.1"}
        request = urllib.request.Request(
            f"http://{address}/api{path}", body, {**headers, **forwarded}, method=method
        )
        try:
            reply = urllib.request.urlopen(request, timeout=30)
        except urllib.error.HTTPError as refused:
            reply = refused
        with reply:
            cookies = "\n".join(reply.headers.get_all("Set-Cookie", []))
            return reply.status, cookies, reply.read()

    def sign_in(self, name: str) -> None:
        """Sign in; where a flood from this address was just held off, a little later."""
        for _ in range(120):
            status, told = self.call("POST", "/session", {"username": name, "password": GOOD})
            if status != 429:
                break
            time.sleep(0.5)
        assert status == 200, told
