"""A school's sign-in, made up: an OpenID Connect provider with a few people, who sign in with a click.

``python -m standins.provider --port 8690``. Whoever tests can have it lie: ``POST /lie`` with one of ``LIES`` as
its body; an empty body makes it honest again. It speaks on loopback only, in the clear.
"""

import argparse
import base64
import hashlib
import hmac
import json
import secrets
import time
from collections.abc import Callable
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from typing import Any
from urllib.parse import parse_qs, urlencode, urlsplit

from joserfc import jwt
from joserfc.jwk import RSAKey

CLIENT, SECRET = "uchuu", "a secret between school and server"
PEOPLE = {"sund": "Ada Sund", "varga": "Bela Varga", "ilves": "Carin Ilves"}
Claims = dict[str, Any]

LIES: dict[str, Callable[[Claims], Claims]] = {
    "audience": lambda claims: {**claims, "aud": "somebody-else"},
    "nonce": lambda claims: {**claims, "nonce": "of another attempt"},
    "no-nonce": lambda claims: {name: value for name, value in claims.items() if name != "nonce"},
    "expired": lambda claims: {**claims, "exp": int(time.time()) - 3600, "iat": 1},
    "issuer": lambda claims: {**claims, "iss": "http://127.0.0.1:1"},
    "no-subject": lambda claims: {name: value for name, value in claims.items() if name != "sub"},
    "odd-subject": lambda claims: {**claims, "sub": ["sund"]},
    "key": dict,
    "unsigned": dict,
    "shared-secret": dict,
    "garbage": dict,
    "metadata": dict,
    "no-token": dict,
}
"""What it can be made to say instead of the truth."""


class Provider(ThreadingHTTPServer):
    """The provider on one port."""

    daemon_threads = True

    def __init__(self, port: int) -> None:
        super().__init__(("127.0.0.1", port), _Answers)
        self.issuer = f"http://127.0.0.1:{self.server_port}"
        self.key = RSAKey.generate_key(2048, {"kid": "one"})
        self.other = RSAKey.generate_key(2048, {"kid": "one"})
        self.lie = ""
        self.codes: dict[str, Claims] = {}
        """What was asked with a code that is not spent."""

    def signed(self, claims: Claims) -> str:
        """Return the claims as a token; as the lie of the hour has them."""
        told = LIES[self.lie](claims) if self.lie else claims
        head = {"alg": "RS256", "kid": "one"}
        if self.lie in ("unsigned", "shared-secret"):
            plain = {"alg": "none" if self.lie == "unsigned" else "HS256", "kid": "one"}
            text = ".".join(_url(json.dumps(part).encode()) for part in (plain, told))
            public = self.key.as_pem(private=False)
            mac = _url(hmac.digest(public, text.encode(), "sha256"))
            return f"{text}.{mac if self.lie == 'shared-secret' else ''}"
        return jwt.encode(head, told, self.other if self.lie == "key" else self.key)


class _Answers(BaseHTTPRequestHandler):
    server: Provider

    def do_GET(self) -> None:
        parts = urlsplit(self.path)
        asked = {name: values[0] for name, values in parse_qs(parts.query).items()}
        issuer = self.server.issuer
        match parts.path:
            case "/.well-known/openid-configuration":
                self._json(
                    {
                        "issuer": "http://127.0.0.1:1" if self.server.lie == "metadata" else issuer,
                        "authorization_endpoint": f"{issuer}/authorize",
                        "token_endpoint": f"{issuer}/token",
                        "jwks_uri": f"{issuer}/keys",
                        "id_token_signing_alg_values_supported": ["none", "HS256", "RS256"],
                    }
                )
            case "/keys":
                self._json({"keys": [self.server.key.as_dict(private=False)]})
            case "/authorize":
                self._choose(asked)
            case "/as":
                self._chosen(asked)
            case _:
                self.send_error(404)

    def do_POST(self) -> None:
        body = self.rfile.read(int(self.headers.get("Content-Length", 0))).decode()
        if self.path == "/lie":
            self.server.lie = body if body in LIES else ""
            self._json({"lie": self.server.lie})
        elif self.path == "/token":
            self._token({name: values[0] for name, values in parse_qs(body).items()})
        else:
            self.send_error(404)

    def _choose(self, asked: dict[str, str]) -> None:
        """Show who may sign in; a real provider asks for a password here."""
        links = "".join(
            f'<li><a href="/as?{urlencode({**asked, "who": who})}">{name}</a></li>'
            for who, name in PEOPLE.items()
        )
        declined = urlencode({**asked, "who": ""})
        page = f'<title>School sign-in</title><h1>Who are you?</h1><ul>{links}</ul><a href="/as?{declined}">Nobody</a>'
        self._answer(200, page.encode(), "text/html; charset=utf-8")

    def _chosen(self, asked: dict[str, str]) -> None:
        state = {"state": asked.get("state", "")}
        if asked.get("who") not in PEOPLE:
            self._back(asked["redirect_uri"], {**state, "error": "access_denied"})
            return
        code = secrets.token_urlsafe(16)
        self.server.codes[code] = asked
        self._back(asked["redirect_uri"], {**state, "code": code})

    def _back(self, where: str, words: dict[str, str]) -> None:
        self.send_response(302)
        self.send_header("Location", f"{where}?{urlencode(words)}")
        self.end_headers()

    def _token(self, asked: dict[str, str]) -> None:
        """Give the token for a code, once, to whoever began and knows the secret (RFC 6749, 7636)."""
        known = self.server.codes.pop(asked.get("code", ""), None)
        verifier = hashlib.sha256(asked.get("code_verifier", "").encode()).digest()
        basic = base64.b64encode(f"{CLIENT}:{SECRET}".encode()).decode()
        if (
            known is None
            or known.get("code_challenge") != _url(verifier)
            or self.headers.get("Authorization") != f"Basic {basic}"
        ):
            self._json({"error": "invalid_grant"}, 400)
            return
        if self.server.lie == "garbage":
            self._answer(200, b"<html>maintenance</html>", "text/html")
            return
        now = int(time.time())
        claims = {
            "iss": self.server.issuer,
            "aud": CLIENT,
            "sub": f"id-{known['who']}",
            "nonce": known.get("nonce"),
            "iat": now,
            "exp": now + 300,
            "preferred_username": known["who"],
            "name": PEOPLE[known["who"]],
        }
        token = {"access_token": secrets.token_urlsafe(16), "token_type": "Bearer"}
        if self.server.lie != "no-token":
            token["id_token"] = self.server.signed(claims)
        self._json(token)

    def _json(self, value: Any, status: int = 200) -> None:
        self._answer(status, json.dumps(value).encode(), "application/json")

    def _answer(self, status: int, body: bytes, kind: str) -> None:
        self.send_response(status)
        self.send_header("Content-Type", kind)
        self.send_header("Content-Length", str(len(body)))
        self.end_headers()
        self.wfile.write(body)

    def log_message(self, *_: Any) -> None:
        """Say nothing."""


def _url(data: bytes) -> str:
    return base64.urlsafe_b64encode(data).decode().rstrip("=")


def main() -> None:
    """Serve until it is ended."""
    words = argparse.ArgumentParser(description=__doc__)
    words.add_argument("--port", type=int, default=8690)
    server = Provider(words.parse_args().port)
    print(f"A made-up school sign-in: {server.issuer} (client {CLIENT!r}, secret {SECRET!r})")
    server.serve_forever()


if __name__ == "__main__":
    main()
