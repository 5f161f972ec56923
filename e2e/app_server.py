"""The application server of the browser tests and of the browser benchmark."""

from launcher import server
from launcher.checks import TEST_CLUSTER
from launcher.postgres import Cluster, free_port
from launcher.processes import end_left
from launcher.tray import Tray

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

    def __init__(self, cluster: Cluster, workers: int = 1) -> None:
        self.cluster = cluster
        self.port = free_port()
        self._server = server.Server(cluster, self.port, DATABASE, workers)
        self.worker = server.JobWorker(cluster, DATABASE)
        self.tray = Tray(DATABASE)

    def start(self) -> None:
        """Start it, on the same port as before."""
        self.tray.begin(self.address)
        self._server.begin()
        self._server.wait()
        self.worker.keep()

    def end(self) -> None:
        """End it, and the process that does long work."""
        self.worker.end()
        self._server.end()
        self.tray.end()

    @property
    def address(self) -> str:
        """Where it serves."""
        return server.address(self.port)


def ready_server(workers: int = 1) -> Server:
    """Start the server on the test cluster, so many web processes of it, with the demo data set anew."""
    end_left(f"-{DATABASE}")
    TEST_CLUSTER.start()
    TEST_CLUSTER.client("dropdb", "--if-exists", "--force", DATABASE)  # nothing of an earlier run
    TEST_CLUSTER.create_database(DATABASE)
    server.manage(TEST_CLUSTER, "set_up", "--reset", database=DATABASE)
    found = Server(TEST_CLUSTER, workers)
    found.start()
    return found
