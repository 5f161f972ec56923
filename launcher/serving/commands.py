"""./uchuu serve, and what else is done to a school's server from the command line."""

import argparse
import os
import signal
import subprocess
from pathlib import Path
from types import FrameType

from launcher import install
from launcher.serving import proxy, safety
from launcher.serving.configuration import Configuration, hold, read
from launcher.serving.host import Host
from launcher.steps import fail, say

USUAL = Path("/etc/uchuu/uchuu.toml")


def asked(options: argparse.Namespace) -> bool:
    """Return whether a school's server is meant, not the installation at home."""
    return options.command == "serve" or getattr(options, "config", None) is not None


def configuration(options: argparse.Namespace) -> Configuration:
    """Read what the command line names, or the usual file, or the environment.

    Raises:
        StepFailed: something in it is missing, unknown or unsafe.
    """
    place = Path(options.config) if options.config else (USUAL if USUAL.exists() else None)
    found = read(place, os.environ)
    hold(place, safety.faults(found))
    try:
        found.state.mkdir(parents=True, exist_ok=True)
        (found.state / "log").mkdir(exist_ok=True)
    except OSError as wrong:
        hold(place, [f"server.state: {found.state} cannot be made or used ({wrong.strerror})"])
    os.environ["UCHUU_STATE"] = str(found.state)
    return found


def serve(options: argparse.Namespace) -> int:
    """Serve a school: on this host, with the database that the configuration names, until it is ended."""
    found: Configuration = options.found
    if options.proxy:
        say(proxy.nginx(found))
        return 0
    if not install.is_complete():
        fail(
            "find the packages", "they are not installed here", "Run ./uchuu install on this host."
        )
    host = Host(found)
    say(host.manage("check_server", advice="Put this right; --check looks again.").strip())
    if options.check:
        say("Everything that serving needs is there.")
        return 0

    def leave(_number: int, _frame: FrameType | None) -> None:
        raise KeyboardInterrupt

    signal.signal(signal.SIGTERM, leave)
    signal.signal(signal.SIGINT, leave)
    try:
        host.begin()
        say(f"\nUchuu serves {', '.join(found['server.hosts'])} behind {found['server.listen']}.")
        host.watch()
    except KeyboardInterrupt:
        say("\nUchuu stops …")
    finally:
        for number in (signal.SIGINT, signal.SIGTERM):
            signal.signal(number, signal.SIG_IGN)  # a second one leaves nothing half stopped
        host.end()
    return 0


def install_all(_options: argparse.Namespace) -> int:
    """Install the packages and build the front end, so that ./uchuu serve needs neither network nor Node."""
    install.python_packages()
    install.front_end()
    say("Installed. ./uchuu serve --check tells what else is missing.")
    return 0


def backup(found: Configuration, place: Path) -> None:
    """Write the school's database to the file *place*.

    Raises:
        StepFailed: the database refuses.
    """
    _done(Host(found).client("pg_dump", "--format=custom", "--no-owner", "--file", place))


def restore(found: Configuration, place: Path) -> None:
    """Fill the school's database, which is empty, from a backup, and bring it up to date.

    Raises:
        StepFailed: something is in it already, or the file is no backup.
    """
    host = Host(found)
    tables = "SELECT count(*) FROM pg_tables WHERE schemaname = 'public'"
    counted = host.client("psql", "--no-psqlrc", "--tuples-only", "--command", tables)
    _done(counted)
    if counted.stdout.strip() != "0":
        fail(
            "restore",
            "there are tables in this database already. Nothing was changed",
            "Make an empty one (createdb), and name it in database.url.",
        )
    done = host.client("pg_restore", "--no-owner", "--exit-on-error", "--single-transaction", place)
    _done(done)
    host.manage(
        "set_up", "--own", advice="The content is restored; the message above says the rest."
    )


def _done(done: subprocess.CompletedProcess[str]) -> None:
    if done.returncode != 0:
        why = done.stderr.strip()[-400:]
        fail("ask the school's database", why, "Nothing was changed. See above.")
