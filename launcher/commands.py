"""The commands of ./uchuu."""

import argparse
import os
import signal
import sys
import time
from collections.abc import Callable
from types import FrameType

from launcher import checks, install, server
from launcher.places import state_folder
from launcher.postgres import Cluster
from launcher.steps import StepFailed, say

SIGN_IN = "marin / harbour-42 (a second teacher: okafor / harbour-42)"


def _running() -> tuple[int, int] | None:
    """Return process and port of the server that an earlier start left running."""
    place = state_folder() / "server"
    if not place.exists():
        return None
    process, port = (int(word) for word in place.read_text().split())
    return (process, port) if server.is_answering(port) else None


def start(options: argparse.Namespace) -> int:
    """Install what is missing, start everything and serve until ctrl-C."""
    found = _running()
    if found:
        say(f"Uchuu is running already: {server.address(found[1])}\n  sign in: {SIGN_IN}")
        return 0
    say("Uchuu starts …")
    install.python_packages()
    install.front_end()
    cluster = Cluster()
    cluster.start()
    cluster.create_database()
    server.manage(cluster, "migrate", "--no-input", "-v", "0")
    server.manage(cluster, "load_demo")
    process, port = server.launch(cluster, port=options.port)
    (state_folder() / "server").write_text(f"{process.pid} {port}")
    say(f"\nUchuu is ready: {server.address(port)}\n  sign in: {SIGN_IN}\n  ctrl-C stops it.")

    def leave(_number: int, _frame: FrameType | None) -> None:
        raise KeyboardInterrupt

    signal.signal(signal.SIGTERM, leave)
    try:
        code = process.wait()
        say(f"The server ended by itself ({code}). Its log is in {install.logs()}.")
        return 1
    except KeyboardInterrupt:
        say("\nUchuu stops …")
        return 0
    finally:
        server.end(process)
        (state_folder() / "server").unlink(missing_ok=True)
        cluster.stop()


def stop(_options: argparse.Namespace) -> int:
    """Stop a server and a database that were left running."""
    found = _running()
    if found:
        os.kill(found[0], signal.SIGTERM)
        deadline = time.monotonic() + 15
        while server.is_answering(found[1]) and time.monotonic() < deadline:
            time.sleep(0.1)
    (state_folder() / "server").unlink(missing_ok=True)
    for cluster in (Cluster(), checks.TEST_CLUSTER):
        cluster.stop()
    say("Uchuu is stopped.")
    return 0


def reset_demo(_options: argparse.Namespace) -> int:
    """Set the demo teachers' examples anew; other teachers keep theirs."""
    install.python_packages()
    cluster = Cluster()
    was_up = cluster.is_up()
    cluster.start()
    cluster.create_database()
    server.manage(cluster, "migrate", "--no-input", "-v", "0")
    say(server.manage(cluster, "load_demo", "--reset").strip())
    if not was_up:
        cluster.stop()
    return 0


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="./uchuu", description=__doc__)
    commands = parser.add_subparsers(dest="command", required=True)
    listed: list[tuple[str, Callable[[argparse.Namespace], int]]] = [
        ("start", start),
        ("stop", stop),
        ("test", checks.test),
        ("check", checks.check),
        ("bench", checks.bench),
        ("reset-demo", reset_demo),
    ]
    for name, action in listed:
        command = commands.add_parser(name, help=action.__doc__, description=action.__doc__)
        command.set_defaults(action=action)
        if name == "start":
            command.add_argument("--port", type=int, help="the port to serve on (default 8600)")
        if name in ("test", "bench"):
            command.add_argument("only", nargs="*", help=f"parts: {checks.PARTS[name]}")
    return parser


def main() -> int:
    """Run the command named on the command line."""
    options = _parser().parse_args()
    try:
        return int(options.action(options))
    except StepFailed as failed:
        print(
            f"\nThe step “{failed.step}” failed.\n  Why: {failed.why}\n  What to do: {failed.advice}",
            file=sys.stderr,
        )
        return 1
    except KeyboardInterrupt:
        return 130
