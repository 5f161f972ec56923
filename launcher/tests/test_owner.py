"""One owner of an installation at a time; processes that a killed owner left are found and ended."""

import os
import subprocess
import sys
import time
from pathlib import Path

import pytest

from launcher import processes, server
from launcher.owner import Owner, is_owned, noted
from launcher.postgres import free_port
from launcher.steps import StepFailed


@pytest.fixture(autouse=True)
def _state(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setenv("UCHUU_STATE", str(tmp_path))


HOLD = """
import sys, time
from launcher.owner import Owner
owner = Owner()
print(owner.take(), flush=True)
time.sleep(60)
"""


def _other() -> subprocess.Popen[str]:
    other = subprocess.Popen([sys.executable, "-c", HOLD], stdout=subprocess.PIPE, text=True)
    assert other.stdout is not None
    assert other.stdout.readline() == "True\n"
    return other


def test_while_somebody_has_it_nobody_else_gets_it_and_a_killed_one_gives_it_back() -> None:
    other = _other()
    mine = Owner()
    assert (mine.take(), is_owned()) == (False, True)
    note = noted()
    assert note is not None
    assert note.process == other.pid

    other.kill()
    other.wait()

    assert not is_owned()
    with mine:
        assert mine.take()
        mine.note(8600)
        assert noted() == (os.getpid(), 8600)
    assert not is_owned()


@pytest.mark.parametrize("content", ["", "garbage", "1 2 3"])
def test_a_garbled_note_is_none(content: str, tmp_path: Path) -> None:
    with Owner() as mine:
        assert mine.take()
        (tmp_path / "owner").write_text(content)
        assert noted() is None


def _sleeper(name: str, **env: str) -> subprocess.Popen[bytes]:
    return processes.begin(
        name,
        [sys.executable, "-c", "import time; time.sleep(60)"],
        cwd=Path("/"),
        env=env,
        output=Path(os.devnull),
    )


def test_what_was_left_running_is_ended_and_nothing_of_others(tmp_path: Path) -> None:
    ours = _sleeper("server-uchuu", UCHUU_STATE=str(tmp_path))
    strange = _sleeper("jobs1-uchuu", UCHUU_STATE="/somewhere/else")
    kept = _sleeper("server-uchuu_e2e", UCHUU_STATE=str(tmp_path))
    (tmp_path / "processes" / "jobs2-uchuu").write_text("garbage")

    assert processes.end_left("-uchuu") == ["server-uchuu"]

    assert ours.wait(5) != 0
    assert strange.poll() is None
    assert kept.poll() is None
    assert [note.name for note in (tmp_path / "processes").iterdir()] == ["server-uchuu_e2e"]
    for one in (strange, kept):
        one.kill()
        one.wait()


def test_output_is_kept_within_bounds(tmp_path: Path) -> None:
    output = tmp_path / "server.out"
    output.write_bytes(b"x" * (processes.MOST_OUTPUT + 1))
    begun = processes.begin(
        "one", [sys.executable, "-c", "print(1)"], cwd=Path("/"), env={}, output=output
    )
    begun.wait(10)
    assert output.read_text() == "1\n"
    assert output.with_suffix(".old").stat().st_size > processes.MOST_OUTPUT


def test_the_address_stays_the_same_unless_somebody_else_has_it(tmp_path: Path) -> None:
    first = free_port()
    assert server.port_to_serve(first) == first
    assert server.port_to_serve(None) == first
    (tmp_path / "address").write_text("nonsense")
    assert server.port_to_serve(first) == first

    listen = "import socket,sys,time; s=socket.socket(); s.bind(('127.0.0.1',int(sys.argv[1]))); s.listen(); print(1,flush=True); time.sleep(60)"
    stranger = subprocess.Popen(
        [sys.executable, "-c", listen, str(first)], stdout=subprocess.PIPE, text=True
    )
    assert stranger.stdout is not None
    stranger.stdout.readline()
    try:
        assert server.health(first) is None, "a stranger is not taken for ours"
        assert server.port_to_serve(None) != first
        with pytest.raises(StepFailed) as caught:
            server.port_to_serve(first)
        assert "--port" in caught.value.advice
    finally:
        stranger.kill()
        stranger.wait()
    time.sleep(0.05)
    assert server.port_to_serve(None) == first
