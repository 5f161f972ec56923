"""What lies in the tray: papers that wait, and those that were taken; a file that survives a kill."""

import json
import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager
from pathlib import Path
from typing import Any

MOST_LISTED = 500
MOST_BYTES = 200_000
"""Of one paper."""
Paper = dict[str, Any]


class Store:
    """A file of papers; every call is one transaction, whichever thread makes it."""

    def __init__(self, place: Path) -> None:
        self._place = place
        with self._open() as file:
            file.execute("PRAGMA journal_mode=WAL")
            file.execute(
                "CREATE TABLE IF NOT EXISTS paper (number INTEGER PRIMARY KEY AUTOINCREMENT, "
                "id TEXT UNIQUE NOT NULL, sitting TEXT NOT NULL, content TEXT NOT NULL, "
                "taken INTEGER NOT NULL DEFAULT 0)"
            )
            file.execute("CREATE INDEX IF NOT EXISTS waiting ON paper (sitting, taken, number)")

    @contextmanager
    def _open(self) -> Iterator[sqlite3.Connection]:
        with closing(sqlite3.connect(self._place, timeout=20)) as file, file:
            yield file

    def put(self, papers: list[Paper]) -> int:
        """Put papers in; those whose id is known are left as they are. Return how many are new."""
        rows = [
            (paper["id"], paper["sitting"], json.dumps(paper, ensure_ascii=False))
            for paper in papers
        ]
        with self._open() as file:
            before = file.total_changes
            file.executemany(
                "INSERT OR IGNORE INTO paper (id, sitting, content) VALUES (?, ?, ?)", rows
            )
            return file.total_changes - before

    def waiting(self, sitting: str) -> list[str]:
        """Return the ids of the papers of a sitting that nobody took, oldest first."""
        with self._open() as file:
            found = file.execute(
                "SELECT id FROM paper WHERE sitting = ? AND taken = 0 ORDER BY number LIMIT ?",
                (sitting, MOST_LISTED),
            )
            return [name for (name,) in found]

    def paper(self, name: str) -> Paper | None:
        """Return a paper, taken or not."""
        with self._open() as file:
            found = file.execute("SELECT content FROM paper WHERE id = ?", (name,)).fetchone()
        return json.loads(found[0]) if found else None

    def take(self, name: str) -> bool:
        """Note that a paper was taken; False where there is none of this id."""
        with self._open() as file:
            return file.execute("UPDATE paper SET taken = 1 WHERE id = ?", (name,)).rowcount > 0
