"""What a school's server is told: one file (TOML), or the environment; read, and every fault in it named.

``UCHUU_SERVER_HOSTS=a,b`` in the environment is ``hosts = ["a", "b"]`` under ``[server]`` in the file, and goes first.
"""

import hashlib
import socket
import tomllib
from collections.abc import Mapping
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any, NamedTuple

from launcher.steps import fail

LONGEST_NAME = 20
"""Characters of a host's name in its workers' own names; a longer one ends in a digest of all of it."""


class Setting(NamedTuple):
    """One line of the file: where it stands, what it is when it is left out, what it says."""

    section: str
    key: str
    usual: Any
    says: str

    @property
    def name(self) -> str:
        """Return it as messages name it."""
        return f"{self.section}.{self.key}"

    @property
    def variable(self) -> str:
        """Return the variable of the environment that goes before the file."""
        return f"UCHUU_{self.section}_{self.key}".upper()


SETTINGS = tuple(
    Setting(*row)
    for row in (
        ("server", "hosts", [], "names under which the server is opened; the first is in links"),
        (
            "server",
            "listen",
            "127.0.0.1:8610",
            "where the proxy passes calls to; verdicts, to the next port",
        ),
        ("server", "https", True, "whether the proxy speaks TLS; without it only on loopback"),
        (
            "server",
            "proxies",
            ["127.0.0.1", "::1"],
            "addresses of the proxies, believed of clients",
        ),
        ("server", "secret_file", "", "a file with 50 random characters, the same on every host"),
        ("server", "state", "/var/lib/uchuu", "a folder of this host: sockets, compiled files"),
        ("server", "name", "", "this host's own name among the hosts; its network name when empty"),
        ("server", "drain_seconds", 5, "how long “not ready” is said before it stops"),
        ("database", "url", "", "postgresql://user@host:port/name?sslmode=verify-full"),
        ("database", "password_file", "", "a file with the database user's password"),
        ("workers", "web", 2, "processes that answer; one for each core"),
        ("workers", "threads", 24, "calls that one of them answers at a time"),
        ("workers", "algebra", 2, "algebra processes of each of them; about 120 MB each"),
        ("workers", "jobs", 2, "processes for long work"),
        ("mail", "server", "", "host:port of the mail server; empty: no mail, no reset by mail"),
        ("mail", "security", "starttls", "starttls, tls, or none (on loopback)"),
        ("mail", "user", "", "who signs in to the mail server"),
        ("mail", "password_file", "", "a file with that user's password"),
        ("mail", "sender", "", "the address that mail comes from"),
        ("provider", "issuer", "", "the OpenID Connect provider's address; empty: none"),
        ("provider", "client", "", "this server's name at the provider"),
        ("provider", "secret_file", "", "a file with the secret that the provider gave"),
        ("provider", "label", "your school account", "what stands on the button"),
        ("provider", "makes_accounts", False, "whether who is new gets an account at once"),
        ("tls", "certificate", "", "the proxy's certificate chain, for --check and --proxy"),
        ("tls", "key", "", "its private key"),
        ("retention", "deleted_days", 14, "days until an account that leaves is really deleted"),
        ("retention", "audit_days", 730, "days that entries of the audit log are kept"),
        ("retention", "session_days", 14, "days until somebody signs in again"),
        ("metrics", "token_file", "", "a file with a token; without one, metrics are for loopback"),
    )
)


@dataclass(frozen=True)
class Configuration:
    """What was read; ``at``: the file, for messages."""

    at: str
    values: dict[str, Any]
    secrets: dict[str, str] = field(repr=False)
    """Contents of the files that are named by settings ``…_file``."""

    def __getitem__(self, name: str) -> Any:
        return self.values[name]

    @property
    def address(self) -> tuple[str, int]:
        """Return where it listens."""
        host, _, port = self["server.listen"].rpartition(":")
        return host.strip("[]"), int(port)

    @property
    def for_verdicts(self) -> str:
        """Return where it listens for verdicts: the port after the other one."""
        return after(self["server.listen"])

    @property
    def name(self) -> str:
        """Return this host's own name: the network's, where none is given, with the port."""
        named = str(self["server.name"] or f"{socket.gethostname()}-{self.address[1]}")
        if len(named) <= LONGEST_NAME:
            return named
        return f"{named[:11]}-{hashlib.sha256(named.encode()).hexdigest()[:8]}"

    @property
    def state(self) -> Path:
        """Return this host's own folder."""
        return Path(self["server.state"])

    def environment(self) -> dict[str, str]:
        """Return what Django is told (``config.settings.server`` reads it)."""
        told = {
            setting.variable: ",".join(value) if isinstance(value, list) else str(value)
            for setting in SETTINGS
            for value in (self[setting.name],)
        }
        told |= {f"UCHUU_SECRET_{name.upper()}": text for name, text in self.secrets.items()}
        return told


def after(address: str) -> str:
    """Return the same address with the next port."""
    host, _, port = address.rpartition(":")
    return f"{host}:{int(port) + 1}"


def read(place: Path | None, environment: Mapping[str, str]) -> Configuration:
    """Read the file at *place* (None: the environment alone).

    Raises:
        StepFailed: it is not there, readable by everybody, or no TOML; or settings are unknown or of
            another kind. All faults are named at once.
    """
    record, faults = _record(place)
    values: dict[str, Any] = {}
    for setting in SETTINGS:
        given: Any = environment.get(setting.variable)
        if given is None:
            given = record.get(setting.section, {}).get(setting.key, setting.usual)
        try:
            values[setting.name] = _as(setting.usual, given)
        except ValueError as why:
            faults.append(f"{setting.name}: {why}")
            values[setting.name] = setting.usual
    secrets = _secrets(values, environment, faults)
    hold(place, faults)
    return Configuration(str(place or "the environment"), values, secrets)


def hold(place: Path | str | None, faults: list[str]) -> None:
    """Stop where there are *faults*.

    Raises:
        StepFailed: there are.
    """
    if faults:
        fail(
            "read the configuration",
            f"in {place or 'the environment'}:" + "".join(f"\n    · {fault}" for fault in faults),
            "Put these right; ./uchuu serve --check looks again. docs/operations.md has every setting.",
        )


def _record(place: Path | None) -> tuple[dict[str, Any], list[str]]:
    if place is None:
        return {}, []
    try:
        text = place.read_bytes()
        mode = place.stat().st_mode
    except OSError as wrong:
        return {}, [f"it cannot be read ({wrong.strerror})"]
    try:
        found = tomllib.loads(text.decode("utf-8"))
    except ValueError as wrong:
        return {}, [f"it is not TOML: {wrong}"]
    faults = []
    if mode & 0o007:
        faults.append(f"everybody on this machine may read it: chmod o= {place}")
    known = {setting.name for setting in SETTINGS}
    for section, keys in found.items():
        if not isinstance(keys, dict):
            faults.append(f"{section}: there is no such setting outside a section")
            found[section] = {}
            continue
        faults += [
            f"{section}.{key}: there is no such setting"
            for key in keys
            if f"{section}.{key}" not in known
        ]
    return found, faults


def _as(usual: Any, given: Any) -> Any:
    """Return *given* as of the same kind as *usual*; text comes from the environment."""
    if isinstance(usual, bool):
        if isinstance(given, bool):
            return given
        if str(given).lower() in ("true", "false"):
            return str(given).lower() == "true"
        raise ValueError("true or false is expected")
    if isinstance(usual, int):
        if isinstance(given, str) and given.isdigit():
            given = int(given)
        if isinstance(given, bool) or not isinstance(given, int) or not 0 <= given < 100_000:
            raise ValueError("a whole number is expected")
        return given
    if isinstance(usual, list):
        if isinstance(given, str):
            given = [part.strip() for part in given.split(",") if part.strip()]
        if not isinstance(given, list) or not all(isinstance(part, str) for part in given):
            raise ValueError("a list of texts is expected")
        return given
    if not isinstance(given, str) or "\0" in given:
        raise ValueError("a text is expected")
    return given.strip()


def _secrets(
    values: dict[str, Any], environment: Mapping[str, str], faults: list[str]
) -> dict[str, str]:
    """Read the files of secrets; ``UCHUU_SECRET_SERVER`` in the environment stands for a file."""
    found = {}
    for setting in SETTINGS:
        if not setting.key.endswith("_file"):
            continue
        text = environment.get(f"UCHUU_SECRET_{setting.section}".upper(), "")
        named = values[setting.name]
        if named and not text:
            try:
                text = Path(named).read_text().strip()
                if Path(named).stat().st_mode & 0o007:
                    faults.append(f"{setting.name}: everybody may read it: chmod o= {named}")
            except (OSError, ValueError) as wrong:
                faults.append(f"{setting.name}: {named} cannot be read ({_why(wrong)})")
        if text:
            found[setting.section] = text
    return found


def _why(wrong: Exception) -> str:
    return getattr(wrong, "strerror", None) or "it is no text"
