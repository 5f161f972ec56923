"""The commands of ./uchuu."""

import argparse
import contextlib
import os
import signal
import sys
import time
from collections.abc import Callable
from types import FrameType

from launcher import checks, install, processes, server
from launcher.accounts import reset_demo, teacher
from launcher.backups import backup, restore
from launcher.owner import Owner, is_owned, noted
from launcher.places import enough_room, state_folder
from launcher.postgres import Cluster
from launcher.running import Running
from launcher.serving import commands as serving
from launcher.steps import StepFailed, say
from launcher.tray import tray

SIGN_IN = "marin / harbour-42 (a second teacher: okafor / harbour-42)"


def start(options: argparse.Namespace) -> int:
    """Install what is missing, start everything and serve until ctrl-C."""

    def leave(_number: int, _frame: FrameType | None) -> None:
        raise KeyboardInterrupt

    signal.signal(signal.SIGTERM, leave)
    signal.signal(signal.SIGINT, leave)
    with Owner() as owner:
        while not owner.take():
            port = _of_another()
            if port:
                say(f"Uchuu is running already: {server.address(port)}")
                return 0
        return _serve(owner, options)


def _of_another() -> int:
    """Wait for the start that is under way; return its port once it answers, 0 when it has ended."""
    is_told = False
    while is_owned():
        note = noted()
        if note and note.port and server.is_answering(note.port):
            return note.port
        if not is_told:
            say("Uchuu is being started already; waiting for it (ctrl-C leaves it alone) …")
            is_told = True
        time.sleep(0.3)
    return 0


def _serve(owner: Owner, options: argparse.Namespace) -> int:
    say("Uchuu starts …")
    enough_room(state_folder(), 100)
    running = Running(owner)
    try:  # from here on, whatever was started is stopped again, whenever ctrl-C comes
        install.python_packages()
        install.front_end()
        told = running.begin(options.port, *(["--own"] if options.own else []))
        assert running.server is not None
        say(f"\nUchuu is ready: {server.address(running.server.port)}{_sign_in(told)}")
        say("  ctrl-C stops it.")
        running.watch()
    except KeyboardInterrupt:
        say("\nUchuu stops …")
    finally:
        signal.signal(signal.SIGINT, signal.SIG_IGN)  # a second ctrl-C leaves nothing half stopped
        running.end()
    return 0


def _sign_in(told: str) -> str:
    """Return who can sign in, from what setting up *told*."""
    if "Nobody can" in told:
        return "\n  nobody can sign in yet: open it and make your account"
    return f"\n  sign in: {SIGN_IN}" if "demo teachers" in told else ""


def stop(_options: argparse.Namespace) -> int:
    """Stop what runs here, also what a start that was killed left running."""
    note = noted()
    if note:
        with contextlib.suppress(ProcessLookupError):
            os.kill(note.process, signal.SIGTERM)
    while is_owned():  # it stops the database last: a start right after this would meet that
        time.sleep(0.1)
    for name in processes.end_left():
        say(f"  {name} had been left running.")
    for cluster in (Cluster(), checks.TEST_CLUSTER):
        cluster.stop()
    say("Uchuu is stopped.")
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
        ("teacher", teacher),
        ("tray", tray),
        ("backup", backup),
        ("restore", restore),
        ("install", serving.install_all),
        ("serve", serving.serve),
    ]
    for name, action in listed:
        command = commands.add_parser(name, help=action.__doc__, description=action.__doc__)
        command.set_defaults(action=action)
        if name == "start":
            command.add_argument("--port", type=int, help="the port to serve on (default 8600)")
            command.add_argument(
                "--own",
                action="store_true",
                help="without the demo: you make your own account on the first page",
            )
        if name == "teacher":
            command.add_argument("what", choices=["add", "password", "unlock", "remove"])
            command.add_argument("name", help="the name that the teacher signs in with")
            command.add_argument(
                "--administrator", action="store_true", help="of add: keeps accounts of a school"
            )
        if name == "tray":
            command.add_argument("what", choices=["fill", "stack"])
            command.add_argument("file", nargs="?", default="stack.pdf", help="of stack: the PDF")
            command.add_argument("--teacher", default="marin", help="whose set and class it is")
            command.add_argument("--set", required=True, help="the set's title")
            command.add_argument("--class", required=True, dest="school_class", help="its title")
            command.add_argument("--seed", type=int, default=1, help="other papers")
            command.add_argument("--push", action="store_true", help="of fill: hand them over")
        if name in ("backup", "restore"):
            command.add_argument("file", help="the file, for instance uchuu-november.backup")
        if name in ("serve", "teacher", "backup", "restore"):
            command.add_argument("--config", help="of a school's server: its configuration")
        if name == "serve":
            command.add_argument("--check", action="store_true", help="only tell what is missing")
            command.add_argument(
                "--proxy", action="store_true", help="only write the proxy's configuration"
            )
        if name in ("test", "bench"):
            command.add_argument(
                "only",
                nargs="*",
                help=f"parts: {checks.PARTS[name]} {checks.BESIDES[name]}".rstrip(),
            )
    return parser


def _remember_bytecode() -> None:
    """Have Python keep what it compiles, in the state folder: every start of a process is seconds faster."""
    os.environ.pop("PYTHONDONTWRITEBYTECODE", None)
    os.environ.setdefault("PYTHONPYCACHEPREFIX", str(state_folder() / "bytecode"))


def main() -> int:
    """Run the command named on the command line."""
    options = _parser().parse_args()
    try:
        options.found = serving.configuration(options) if serving.asked(options) else None
        _remember_bytecode()
        return int(options.action(options))
    except StepFailed as failed:
        print(
            f"\nThe step “{failed.step}” failed.\n  Why: {failed.why}\n  What to do: {failed.advice}",
            file=sys.stderr,
        )
        return 1
    except KeyboardInterrupt:
        return 130
