"""./uchuu backup and restore: the whole installation as one file."""

import argparse
import os
from pathlib import Path

from launcher import install, server
from launcher.accounts import database
from launcher.owner import Owner, is_owned
from launcher.places import enough_room
from launcher.postgres import Cluster
from launcher.serving import commands as serving
from launcher.steps import fail, say

BEFORE, NEW = "uchuu_before", "uchuu_restored"


def backup(options: argparse.Namespace) -> int:
    """Write everything of all teachers into one file; Uchuu may be running meanwhile."""
    place = Path(options.file).resolve()
    if place.exists():
        fail("write the backup", f"{place} is there already", "Choose another name.")
    if not place.parent.is_dir():
        fail("write the backup", f"there is no folder {place.parent}", "Make it first.")
    unfinished = place.with_name(f"{place.name}.unfinished")
    try:
        unfinished.touch(mode=0o600)
        if options.found is not None:
            serving.backup(options.found, unfinished)
        else:
            _dump(unfinished)
        os.replace(unfinished, place)
    except OSError as wrong:
        fail("write the backup", str(wrong), "Choose a folder that can be written to.")
    finally:
        unfinished.unlink(missing_ok=True)
    say(f"Everything is in {place} ({place.stat().st_size / 1e6:.1f} MB). Keep it elsewhere.")
    return 0


def _dump(place: Path) -> None:
    with database() as cluster:
        done = cluster.client("pg_dump", "--format=custom", "--no-owner", "--file", place, "uchuu")
    if done.returncode != 0:
        fail("write the backup", done.stderr.strip()[-400:], "See the message above.")


def restore(options: argparse.Namespace) -> int:
    """Put the content of a backup in the place of everything that is here; what was here is kept once."""
    place = Path(options.file).resolve()
    if not place.is_file():
        fail("read the backup", f"there is no file {place}", "Name the file that backup wrote.")
    if options.found is not None:
        serving.restore(options.found, place)
        say(f"Restored from {place} into {options.found['database.url']}.")
        return 0
    if is_owned():
        fail("restore", "Uchuu is running", "./uchuu stop it first.")
    install.python_packages()
    cluster = Cluster()
    with Owner() as owner:
        if not owner.take():
            fail("restore", "Uchuu is starting", "./uchuu stop it first.")
        cluster.start()
        try:
            enough_room(cluster.folder, 50 + 12 * place.stat().st_size // 1_000_000)
            _take(cluster, place)
        finally:
            cluster.stop()
    say(f"Restored from {place}. What was here before is kept until the next restore.")
    return 0


def _take(cluster: Cluster, place: Path) -> None:
    """Fill a new database and bring it up to date; only then it takes the place of the one that is here."""
    cluster.create_database()
    _done(cluster, "dropdb", "--if-exists", "--force", NEW)
    cluster.create_database(NEW)
    try:
        _done(cluster, "pg_restore", "--no-owner", "--exit-on-error", "--dbname", NEW, place)
        server.manage(
            cluster,
            "set_up",
            "--own",
            database=NEW,
            advice="The message above says why. Nothing was changed.",
        )
    except BaseException:
        cluster.client("dropdb", "--if-exists", "--force", NEW)
        raise
    _done(cluster, "dropdb", "--if-exists", "--force", BEFORE)
    renamed = [
        f"--command=ALTER DATABASE {old} RENAME TO {new}"
        for old, new in (("uchuu", BEFORE), (NEW, "uchuu"))
    ]
    _done(cluster, "psql", "--single-transaction", "--dbname", "postgres", *renamed)


def _done(cluster: Cluster, program: str, *words: str | Path) -> None:
    done = cluster.client(program, *words)
    if done.returncode != 0:
        why = done.stderr.strip()[-400:]
        fail("restore", why, "Nothing was changed. Is this a file that ./uchuu backup wrote?")
