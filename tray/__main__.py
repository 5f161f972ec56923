"""The tray's process: ``python -m tray PORT FILE SECRET-FILE [SERVER]``; loopback only."""

import hmac
import json
import re
import sys
import urllib.error
import urllib.request
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from pathlib import Path
from typing import Any
from urllib.parse import parse_qs, urlsplit

from tray.store import MOST_BYTES, Store

MOST_BODY = 4_000_000
_ONE = re.compile(r"^/papers/([\w-]{1,64})(?:/(taken|push))?$")


class Tray(ThreadingHTTPServer):
    """The server: where papers lie, the secret that callers share, and whom papers are pushed to."""

    daemon_threads = True

    def __init__(self, port: int, store: Store, secret: str, server: str = "") -> None:
        super().__init__(("127.0.0.1", port), _Handler)
        self.store, self.secret, self.receiver = store, secret, server


class _Handler(BaseHTTPRequestHandler):
    """One call. Every answer is JSON; what is refused says why."""

    server: Tray
    protocol_version = "HTTP/1.1"
    timeout = 20

    def do_GET(self) -> None:
        """Tell what waits, or one paper."""
        if not self._may():
            return
        address = urlsplit(self.path)
        if address.path == "/papers":
            sitting = parse_qs(address.query).get("sitting", [""])[0]
            self._say(200, {"waiting": self.server.store.waiting(sitting)})
            return
        found = _ONE.match(address.path)
        paper = self.server.store.paper(found[1]) if found and not found[2] else None
        self._say(200, paper) if paper else self._say(404, {"message": "There is no such paper."})

    def do_POST(self) -> None:
        """Put papers in, acknowledge one, or push one to the server."""
        body = self._body()
        if body is None or not self._may():
            return
        found = _ONE.match(urlsplit(self.path).path)
        if urlsplit(self.path).path == "/papers":
            self._put(body)
        elif found and found[2] == "taken":
            is_there = self.server.store.take(found[1])
            self._say(200 if is_there else 404, {"taken": is_there})
        elif found and found[2] == "push":
            self._push(found[1])
        else:
            self._say(404, {"message": "There is nothing at this address."})

    def _put(self, body: bytes) -> None:
        try:
            papers = json.loads(body)
            assert isinstance(papers, list)
            assert all(isinstance(p["id"], str) and isinstance(p["sitting"], str) for p in papers)
            assert all(len(json.dumps(paper)) <= MOST_BYTES for paper in papers)
        except (ValueError, KeyError, TypeError, AssertionError, RecursionError):
            self._say(400, {"message": "A list of papers is expected, each with id and sitting."})
            return
        self._say(201, {"new": self.server.store.put(papers)})

    def _push(self, name: str) -> None:
        """Hand a paper to the server; it counts as taken once the server has said so."""
        paper = self.server.store.paper(name)
        if paper is None:
            self._say(404, {"message": "There is no such paper."})
            return
        request = urllib.request.Request(
            f"{self.server.receiver}/api/deliveries/push",
            data=json.dumps(paper).encode(),
            headers={
                "Content-Type": "application/json",
                "Authorization": f"Bearer {self.server.secret}",
            },
        )
        try:
            with urllib.request.urlopen(request, timeout=20):
                pass
        except (urllib.error.URLError, OSError, ValueError) as wrong:
            self._say(502, {"message": f"The server did not take it: {wrong}"})
            return
        self.server.store.take(name)
        self._say(200, {"taken": True})

    def _body(self) -> bytes | None:
        length = self.headers.get("Content-Length", "0")
        if not length.isdigit() or int(length) > MOST_BODY:
            self._say(413, {"message": "This is too large to be sent at once."})
            self.close_connection = True
            return None
        return self.rfile.read(int(length))

    def _may(self) -> bool:
        given = self.headers.get("Authorization", "")
        if hmac.compare_digest(given.encode(), f"Bearer {self.server.secret}".encode()):
            return True
        self._say(401, {"message": "The shared secret is missing or another one."})
        return False

    def _say(self, status: int, record: Any) -> None:
        content = json.dumps(record, ensure_ascii=False).encode()
        self.send_response(status)
        self.send_header("Content-Type", "application/json")
        self.send_header("Content-Length", str(len(content)))
        self.end_headers()
        self.wfile.write(content)

    def log_message(self, *_words: Any) -> None:
        """Keep quiet: papers are nobody's business."""


def main() -> None:
    """Serve until ended."""
    port, place, secret, *server = sys.argv[1:]
    store = Store(Path(place))
    Tray(int(port), store, Path(secret).read_text().strip(), *server).serve_forever()


if __name__ == "__main__":
    main()
