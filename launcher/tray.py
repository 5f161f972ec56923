"""The tray: a process of its own that stands for a school's submission service; and filling it."""

import argparse
import secrets
import subprocess
import time
import urllib.error
import urllib.request
from pathlib import Path

from launcher import processes, server
from launcher.accounts import database
from launcher.install import logs
from launcher.places import PYTHON, ROOT, state_folder
from launcher.postgres import free_port
from launcher.steps import say


class Tray:
    """The tray's process; started again when it ends by itself, at the same address."""

    def __init__(self, database_name: str = "uchuu") -> None:
        self._name = f"tray-{database_name}"
        self._address = server.tray_address(database_name)
        self._process: subprocess.Popen[bytes] | None = None
        self.port = 0
        self._receiver = ""

    def begin(self, receiver: str) -> None:
        """Start it; *receiver*: the address of the server that papers are pushed to."""
        self.port, self._receiver = self.port or free_port(), receiver
        self._address.write_text(f"http://127.0.0.1:{self.port}\n")
        self.keep()
        self.wait()

    def put(self, papers: bytes) -> None:
        """Put papers in, a JSON list; those that it knows stay as they are."""
        request = urllib.request.Request(
            f"http://127.0.0.1:{self.port}/papers",
            data=papers,
            headers={"Authorization": f"Bearer {_secret().read_text().strip()}"},
        )
        urllib.request.urlopen(request, timeout=20).close()

    def keep(self) -> bool:
        """Start it where it does not run; return whether that was so."""
        if self._process is not None and self._process.poll() is None:
            return False
        self._process = processes.begin(
            self._name,
            [
                *(PYTHON, "-m", "tray", str(self.port), state_folder() / f"{self._name}.sqlite3"),
                *(_secret(), self._receiver),
            ],
            cwd=ROOT,
            env={},
            output=logs() / f"{self._name}.out",
        )
        return True

    def wait(self) -> None:
        """Wait until it answers, for as long as it lives."""
        while self._process is not None and self._process.poll() is None:
            try:
                urllib.request.urlopen(f"http://127.0.0.1:{self.port}/papers", timeout=5)
            except urllib.error.HTTPError:
                return  # it asks for the secret: it answers
            except OSError:
                time.sleep(0.02)

    def end(self) -> None:
        """Stop it; what lies in it stays."""
        processes.end(self._name, self._process)
        self._process = None

    def kill(self) -> None:
        """End it at once, as a crash would."""
        if self._process is not None:
            self._process.kill()
            self._process.wait(5)


def _secret() -> Path:
    """Return the file of the shared secret, made once."""
    place = state_folder() / "tray-secret"
    if not place.exists() or len(place.read_text().strip()) < 30:
        place.touch(mode=0o600)
        place.write_text(secrets.token_urlsafe(32))
    return place


def tray(options: argparse.Namespace) -> int:
    """Fill the tray with made-up papers for a set and a class (fill), or write a scanned stack (stack)."""
    about = ["--teacher", options.teacher, "--set", options.set, "--class", options.school_class]
    about += ["--seed", str(options.seed)]
    with database() as cluster:
        if options.what == "fill":
            words = ["fill_tray", *about, *(["--push"] if options.push else [])]
        else:
            words = ["make_stack", str(Path(options.file).resolve()), *about]
        say(server.manage(cluster, *words, advice="Read the message above.").strip())
    return 0
