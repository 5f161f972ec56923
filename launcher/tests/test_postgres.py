"""The private cluster: made, started, stopped, killed and started again."""

import os
import shutil
import signal
import threading
import time
from collections.abc import Iterator
from pathlib import Path

import pytest

from launcher.postgres import Cluster, free_port
from launcher.steps import StepFailed


@pytest.fixture(scope="module")
def cluster() -> Iterator[Cluster]:
    """Return a cluster in a state folder of its own, which user postgres can reach."""
    folder = Path("/tmp") / f"uchuu-launcher-{os.getpid()}"
    before = os.environ.get("UCHUU_STATE")
    os.environ["UCHUU_STATE"] = str(folder)
    found = Cluster("trial", durable=False)
    yield found
    found.stop()
    shutil.rmtree(folder)
    if before is None:
        del os.environ["UCHUU_STATE"]
    else:
        os.environ["UCHUU_STATE"] = before


def _process(cluster: Cluster) -> int:
    text = (cluster.folder / "data" / "postmaster.pid").read_text()
    return int(text.splitlines()[0])


def test_it_starts_twice_as_once_and_stops(cluster: Cluster) -> None:
    assert not cluster.is_up()

    cluster.start()
    first = _process(cluster)
    cluster.start()

    assert cluster.is_up()
    assert _process(cluster) == first
    cluster.stop()
    assert not cluster.is_up()


def test_two_starts_at_once_make_one_server(cluster: Cluster) -> None:
    threads = [threading.Thread(target=cluster.start) for _ in range(2)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()

    assert cluster.is_up()


def test_a_killed_server_is_started_again(cluster: Cluster) -> None:
    cluster.start()
    os.kill(_process(cluster), signal.SIGKILL)
    cluster.start()

    assert cluster.is_up()


def test_the_password_is_for_its_owner_only_and_the_database_is_made_once(
    cluster: Cluster,
) -> None:
    cluster.start()

    cluster.create_database("one")
    cluster.create_database("one")

    assert (cluster.folder / "password").stat().st_mode & 0o077 == 0
    assert cluster.environment("one")["UCHUU_DB_HOST"] == "127.0.0.1"


def test_a_cluster_that_cannot_be_made_says_what_to_do(
    cluster: Cluster, monkeypatch: pytest.MonkeyPatch
) -> None:
    broken = Cluster("broken")
    monkeypatch.setattr(Cluster, "program", lambda *_: Path("/bin/false"))

    with pytest.raises(StepFailed) as caught:
        broken.start()

    assert caught.value.step == "make the database cluster"
    assert "UCHUU_STATE" in caught.value.advice


def test_a_server_that_was_killed_comes_back_on_its_port(cluster: Cluster) -> None:
    cluster.start()
    port = cluster.port
    os.kill(_process(cluster), signal.SIGKILL)
    while cluster.listens():
        time.sleep(0.01)

    cluster.start()

    assert (cluster.port, cluster.listens()) == (port, True)


@pytest.mark.parametrize("content", ["", "\0\0garbage\0", "12 monkeys"])
@pytest.mark.parametrize("runs", [True, False])
def test_an_empty_or_garbled_port_is_found_again(
    cluster: Cluster, content: str, runs: bool
) -> None:
    cluster.start()
    if not runs:
        cluster.stop()
    (cluster.folder / "port").write_text(content)

    cluster.start()
    cluster.create_database("one")


def test_a_lost_password_is_set_anew_and_nothing_else_is_lost(cluster: Cluster) -> None:
    cluster.start()
    cluster.create_database("kept")
    cluster.stop()
    (cluster.folder / "password").write_text("")

    cluster.start()

    listed = cluster.client(
        "psql", "--dbname", "postgres", "-Atc", "SELECT datname FROM pg_database"
    )
    assert "kept" in listed.stdout.split(), listed.stderr


def test_a_cluster_that_was_broken_off_while_it_was_made_is_made_again(cluster: Cluster) -> None:
    half = Cluster("half", durable=False)
    (half.folder / "data.new").mkdir(parents=True)
    (half.folder / "data.new" / "PG_VERSION").write_text("15\n")
    (half.folder / "data").mkdir()

    half.start()
    half.stop()

    assert not (half.folder / "data.new").exists()


def test_data_of_another_version_get_advice_and_stay_as_they_are(cluster: Cluster) -> None:
    old = Cluster("old")
    (old.folder / "data").mkdir(parents=True)
    (old.folder / "data" / "PG_VERSION").write_text("9\n")
    (old.folder / "data" / "base").write_text("somebody's work")

    with pytest.raises(StepFailed) as caught:
        old.start()

    assert "PostgreSQL 9" in caught.value.why
    assert "postgresql-9" in caught.value.advice
    assert (old.folder / "data" / "base").read_text() == "somebody's work"


def test_free_ports_are_free() -> None:
    assert len({free_port() for _ in range(5)}) > 1
