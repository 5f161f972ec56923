"""Everything that one installation runs: started together, watched, started again, stopped together."""

import time
from collections import deque

from launcher import processes, server
from launcher.install import logs
from launcher.owner import Owner
from launcher.places import ROOT
from launcher.postgres import Cluster
from launcher.steps import fail, say
from launcher.tray import Tray

MOST_DEATHS, A_WHILE = 8, 30.0
"""So many ends of one part within so many seconds are no accident."""


class Running:
    """The database, the server and the workers of one installation; whoever has the *owner*'s right runs them."""

    def __init__(self, owner: Owner) -> None:
        self._owner = owner
        self.cluster = Cluster()
        self.server: server.Server | None = None
        self.tray = Tray()
        self._workers = [
            server.JobWorker(self.cluster, slot=slot) for slot in range(1, server.JOB_WORKERS + 1)
        ]
        self._deaths: dict[str, deque[float]] = {}

    def begin(self, wanted_port: int | None, *words: str) -> str:
        """Start everything; return what setting up with *words* told."""
        processes.end_left("-uchuu")
        self.cluster.start()
        self.cluster.create_database()
        told = server.manage(self.cluster, "set_up", *words)
        port = server.port_to_serve(wanted_port)
        self.tray.begin(server.address(port))  # first: the others are told where it is
        if "demo teachers" in told:
            self.tray.put((ROOT / "demo" / "tray.json").read_bytes())
        self.server = server.Server(self.cluster, port)
        self.server.begin()
        self.server.wait()
        for worker in self._workers:
            worker.keep()
        self._owner.note(self.server.port)
        return told

    def watch(self) -> None:
        """Start again whatever ended, for as long as it does not end over and over.

        Raises:
            StepFailed: it does.
        """
        while True:
            time.sleep(0.5)
            if not self.cluster.listens():
                self._told("database")
                self.cluster.start()
            assert self.server is not None
            if not self.server.runs:
                self._told("server")
                self.server.end()
                self.server.begin()
            if self.tray.keep():
                self._told("tray")
            for slot, worker in enumerate(self._workers, start=1):
                if worker.keep():
                    self._told(f"worker {slot} for long work")

    def _told(self, what: str) -> None:
        say(f"  The {what} had ended and is started again.")
        now = time.monotonic()
        deaths = self._deaths.setdefault(what, deque(maxlen=MOST_DEATHS))
        if len(deaths) == MOST_DEATHS and now - deaths[0] < A_WHILE:
            fail(
                "keep Uchuu running",
                f"the {what} ends over and over",
                f"Read the newest files in {logs()}; is the disk full?",
            )
        deaths.append(now)

    def end(self) -> None:
        """Stop everything, the database last."""
        for worker in self._workers:
            worker.end()
        if self.server is not None:
            self.server.end()
        self.tray.end()
        self.cluster.stop()
