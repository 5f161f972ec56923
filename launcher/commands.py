"""The commands of ./uchuu."""

import argparse
import getpass
import os
import signal
import subprocess
import sys
import time
from collections.abc import Callable
from pathlib import Path
from types import FrameType

from launcher import checks, install, server
from launcher.places import state_folder
from launcher.postgres import Cluster
from launcher.steps import StepFailed, fail, say

SIGN_IN = "marin / harbour-42 (a second teacher: okafor / harbour-42)"


def _running() -> tuple[int, int] | None:
    """Return the process of ./uchuu start, and the port, when an earlier start still serves."""
    place = state_folder() / "running"
    if not place.exists():
        return None
    process, port = (int(word) for word in place.read_text().split())
    return (process, port) if server.is_answering(port) else None


def _is_alive(process: int) -> bool:
    """Return whether *process* runs (a zombie does not)."""
    try:
        return "\nState:\tZ" not in Path(f"/proc/{process}/status").read_text()
    except OSError:
        return False


def start(options: argparse.Namespace) -> int:
    """Install what is missing, start everything and serve until ctrl-C."""
    found = _running()
    if found:
        say(f"Uchuu is running already: {server.address(found[1])}")
        return 0

    def leave(_number: int, _frame: FrameType | None) -> None:
        raise KeyboardInterrupt

    signal.signal(signal.SIGTERM, leave)
    signal.signal(signal.SIGINT, leave)
    say("Uchuu starts …")
    install.python_packages()
    install.front_end()
    cluster = Cluster()
    process = None
    worker = server.JobWorker(cluster)
    try:  # from here on, whatever was started is stopped again, whenever ctrl-C comes
        cluster.start()
        cluster.create_database()
        told = server.manage(cluster, "set_up", *(["--own"] if options.own else []))
        process, port = server.launch(cluster, port=options.port)
        worker.keep()
        (state_folder() / "running").write_text(f"{os.getpid()} {port}")
        say(f"\nUchuu is ready: {server.address(port)}{_sign_in(told)}\n  ctrl-C stops it.")
        while (code := _ended(process)) is None:
            worker.keep()
        say(f"The server ended by itself ({code}). Its log is in {install.logs()}.")
        return 1
    except KeyboardInterrupt:
        say("\nUchuu stops …")
        return 0
    finally:
        (state_folder() / "running").unlink(missing_ok=True)
        worker.end()
        if process is not None:
            server.end(process)
        cluster.stop()


def _sign_in(told: str) -> str:
    """Return who can sign in, from what setting up *told*."""
    if "Nobody can" in told:
        return "\n  nobody can sign in yet: ./uchuu teacher add NAME makes your account"
    return f"\n  sign in: {SIGN_IN}" if "demo teachers" in told else ""


def _ended(process: subprocess.Popen[bytes]) -> int | None:
    """Wait a second for *process*; return its code when it ended."""
    try:
        return process.wait(1)
    except subprocess.TimeoutExpired:
        return None


def stop(_options: argparse.Namespace) -> int:
    """Stop a server and a database that were left running."""
    found = _running()
    if found:
        try:
            os.kill(found[0], signal.SIGTERM)
        except ProcessLookupError:
            say("The starting process is gone; its server is ended by its port.")
            server.end_on(found[1])
        deadline = time.monotonic() + 15
        while time.monotonic() < deadline and (
            server.is_answering(found[1]) or _is_alive(found[0])
        ):  # it stops the database last: a start right after this would meet that
            time.sleep(0.1)
    (state_folder() / "running").unlink(missing_ok=True)
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
    say(server.manage(cluster, "set_up", "--reset").strip())
    if not was_up:
        cluster.stop()
    return 0


def teacher(options: argparse.Namespace) -> int:
    """Make (add), change (password), unlock or delete (remove) a teacher's account."""
    if options.what == "remove":
        typed = input(f"Everything of “{options.name}” is deleted. Type the name once more: ")
        if typed.strip() != options.name:
            say("Nothing was deleted: the names differ.")
            return 1
    if options.what in ("add", "password"):
        os.environ["UCHUU_PASSWORD"] = _typed_password()
    install.python_packages()
    cluster = Cluster()
    was_up = cluster.is_up()
    cluster.start()
    cluster.create_database()
    try:
        server.manage(cluster, "migrate", "--no-input")
        advice = "The message above says what to change. Nothing was changed."
        say(server.manage(cluster, "teacher", options.what, options.name, advice=advice).strip())
    finally:
        if not was_up:
            cluster.stop()
    return 0


def _typed_password() -> str:
    """Return a password typed twice, or the first line of what is piped in.

    Raises:
        StepFailed: the two differ.
    """
    if not sys.stdin.isatty():
        return sys.stdin.readline().rstrip("\n")
    first = getpass.getpass("Password (ten characters or more): ")
    if getpass.getpass("Once more: ") != first:
        fail("read the password", "the two differ", "Type it again.")
    return first


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
        ("teacher", teacher),
    ]
    for name, action in listed:
        command = commands.add_parser(name, help=action.__doc__, description=action.__doc__)
        command.set_defaults(action=action)
        if name == "start":
            command.add_argument("--port", type=int, help="the port to serve on (default 8600)")
            command.add_argument(
                "--own",
                action="store_true",
                help="without the demo: ./uchuu teacher add makes accounts",
            )
        if name == "teacher":
            command.add_argument("what", choices=["add", "password", "unlock", "remove"])
            command.add_argument("name", help="the name that the teacher signs in with")
        if name in ("test", "bench"):
            command.add_argument(
                "only",
                nargs="*",
                help=f"parts: {checks.PARTS[name]} {checks.BESIDES[name]}".rstrip(),
            )
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
