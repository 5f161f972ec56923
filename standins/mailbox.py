"""A school's mail server, made up: keeps every mail that it is given, and shows them as text.

``python -m standins.mailbox FOLDER --port 8625``. One file a mail, in the order in which they came.
"""

import argparse
import email.policy
import threading
from email.message import EmailMessage
from email.parser import BytesParser
from pathlib import Path
from typing import Any

from aiosmtpd.controller import Controller


class Mailbox:
    """Takes mail on loopback and keeps it in a folder."""

    def __init__(self, folder: Path, port: int) -> None:
        folder.mkdir(parents=True, exist_ok=True)
        self.folder, self.port = folder, port
        self._controller: Controller | None = None

    def begin(self) -> None:
        """Take mail from now on."""
        self._controller = Controller(self, hostname="127.0.0.1", port=self.port)
        self._controller.start()

    def end(self) -> None:
        """Take no more."""
        if self._controller is not None:
            self._controller.stop()

    async def handle_DATA(self, _server: Any, _session: Any, envelope: Any) -> str:
        """Keep one mail."""
        number = len(list(self.folder.iterdir())) + 1
        (self.folder / f"{number:05}.eml").write_bytes(envelope.content)
        return "250 kept"

    def mails(self) -> list[EmailMessage]:
        """Return the mails that came."""
        read = BytesParser(policy=email.policy.default)
        return [read.parsebytes(place.read_bytes()) for place in sorted(self.folder.iterdir())]


def main() -> None:
    """Take mail until it is ended."""
    words = argparse.ArgumentParser(description=__doc__)
    words.add_argument("folder", type=Path)
    words.add_argument("--port", type=int, default=8625)
    asked = words.parse_args()
    Mailbox(asked.folder, asked.port).begin()
    print(f"Mail is taken on 127.0.0.1:{asked.port} and kept in {asked.folder}.")
    threading.Event().wait()


if __name__ == "__main__":
    main()
