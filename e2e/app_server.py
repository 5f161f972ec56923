"""The application server of the browser tests and of the browser benchmark."""

import subprocess

from launcher import server
from launcher.checks import TEST_CLUSTER
from launcher.postgres import Cluster

DATABASE = "uchuu_e2e"
ARGUMENTS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
]
"""How Debian's Chromium is started: without a sandbox of its own, and silent on the network."""


class Server:
    """The application server of the tests; it can be ended and started again."""

    def __init__(self, cluster: Cluster) -> None:
        self.cluster = cluster
        self._process: subprocess.Popen[bytes] | None = None
        self.worker = server.JobWorker(cluster, DATABASE)
        self.port = 0

    def start(self) -> None:
        """Start it, on the same port as before."""
        self._process, self.port = server.launch(
            self.cluster, port=self.port or None, database=DATABASE
        )
        self.worker.keep()

    def end(self) -> None:
        """End it, and the process that does long work."""
        self.worker.end()
        if self._process is not None:
            server.end(self._process)
            self._process = None

    @property
    def address(self) -> str:
        """Where it serves."""
        return server.address(self.port)


def ready_server() -> Server:
    """Start the server on the test cluster, with the demo data set anew."""
    TEST_CLUSTER.start()
    TEST_CLUSTER.create_database(DATABASE)
    server.manage(TEST_CLUSTER, "set_up", "--reset", database=DATABASE)
    found = Server(TEST_CLUSTER)
    found.start()
    return found
