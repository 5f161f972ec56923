"""Everything that one installation runs: started together, watched, started again, stopped together."""

import time

from launcher import processes, server
from launcher.owner import Owner
from launcher.parts import Deaths
from launcher.places import ROOT
from launcher.postgres import Cluster
from launcher.tray import Tray


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
        self._deaths = Deaths()

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
                self._deaths.told("database")
                self.cluster.start()
            assert self.server is not None
            if not self.server.runs:
                self._deaths.told("server")
                self.server.end()
                self.server.begin()
            if self.tray.keep():
                self._deaths.told("tray")
            for slot, worker in enumerate(self._workers, start=1):
                if worker.keep():
                    self._deaths.told(f"worker {slot} for long work")

    def end(self) -> None:
        """Stop everything, the database last."""
        for worker in self._workers:
            worker.end()
        if self.server is not None:
            self.server.end()
        self.tray.end()
        self.cluster.stop()
