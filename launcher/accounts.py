"""./uchuu teacher, ./uchuu reset-demo: what is done to the data from the command line, running or not."""

import argparse
import getpass
import os
import sys
from collections.abc import Iterator
from contextlib import contextmanager

from launcher import install, server
from launcher.owner import Owner
from launcher.postgres import Cluster
from launcher.serving.host import Host
from launcher.steps import fail, say


@contextmanager
def database() -> Iterator[Cluster]:
    """Have the database up: the one that runs, or one that is started and stopped again here."""
    install.python_packages()
    cluster = Cluster()
    with Owner() as owner:
        is_ours = owner.take()
        cluster.start()  # where another owner runs it, it is waited for
        try:
            cluster.create_database()
            yield cluster
        finally:
            if is_ours:
                cluster.stop()


def reset_demo(_options: argparse.Namespace) -> int:
    """Set the demo teachers' examples anew; other teachers keep theirs."""
    with database() as cluster:
        say(server.manage(cluster, "set_up", "--reset").strip())
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
    words = ["teacher", options.what, options.name]
    if options.administrator:
        words.append("--administrator")
    advice = "The message above says what to change. Nothing was changed."
    if options.found is not None:
        say(Host(options.found).manage(*words, advice=advice).strip())
        return 0
    with database() as cluster:
        server.manage(cluster, "migrate", "--no-input")
        say(server.manage(cluster, *words, advice=advice).strip())
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
