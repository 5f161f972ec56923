"""The commands: help for each, failures that say what to do, state folders."""

import shutil
import subprocess
import sys
from pathlib import Path
from types import SimpleNamespace

import pytest

from launcher import places
from launcher.install import _digest, _stamped
from launcher.steps import StepFailed, run

ROOT = Path(__file__).resolve().parents[2]


@pytest.mark.parametrize(
    "command",
    [
        "start",
        "stop",
        "test",
        "check",
        "bench",
        "reset-demo",
        "teacher",
        "backup",
        "restore",
        "tray",
        "serve",
        "install",
    ],
)
def test_every_command_has_help(command: str) -> None:
    done = subprocess.run(
        [sys.executable, ROOT / "uchuu", command, "--help"],
        capture_output=True,
        text=True,
        check=False,
    )

    assert done.returncode == 0
    assert len(done.stdout.splitlines()) >= 3
    assert f"./uchuu {command}" in (ROOT / "README.md").read_text("utf-8")


def test_an_unknown_part_is_refused_with_the_known_ones() -> None:
    done = subprocess.run(
        [sys.executable, ROOT / "uchuu", "test", "nonsense"],
        capture_output=True,
        text=True,
        check=False,
    )

    assert done.returncode == 1
    assert "Parts are: lint types core" in done.stderr


@pytest.mark.parametrize(
    ("command", "words"),
    [
        (["/no/such/program"], "No such file"),
        ([sys.executable, "-c", "raise SystemExit(3)"], "ended with 3"),
    ],
)
def test_a_failed_step_says_which_why_and_what_to_do(command: list[str], words: str) -> None:
    with pytest.raises(StepFailed) as caught:
        run("try it", command, advice="Do something else.")

    assert caught.value.step == "try it"
    assert words in caught.value.why
    assert caught.value.advice == "Do something else."


def test_a_stamp_tells_whether_sources_changed(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("launcher.install.ROOT", tmp_path)
    source, stamp = tmp_path / "source", tmp_path / "stamp"
    source.write_text("one")

    assert not _stamped(stamp, _digest([source]))
    stamp.write_text(_digest([source]))
    assert _stamped(stamp, _digest([source]))
    source.write_text("two")

    assert not _stamped(stamp, _digest([source]))


def test_the_state_folder_is_where_it_is_named(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setenv("UCHUU_STATE", str(tmp_path / "here"))

    assert places.state_folder() == tmp_path / "here"
    assert (tmp_path / "here").stat().st_mode & 0o001


def test_a_hidden_project_gets_its_state_elsewhere(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.delenv("UCHUU_STATE", raising=False)
    monkeypatch.setattr(places, "ROOT", tmp_path)
    monkeypatch.setattr(places, "is_root", lambda: False)
    assert places.state_folder() == tmp_path / ".state"

    tmp_path.chmod(0o700)

    assert not places._reachable_by_all(tmp_path)


def test_a_disk_without_room_is_said_before_anything_is_written(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(shutil, "disk_usage", lambda _: SimpleNamespace(free=20_000_000))

    places.enough_room(tmp_path, 10)
    with pytest.raises(StepFailed) as caught:
        places.enough_room(tmp_path, 100)

    assert "20 MB are free" in caught.value.why
    assert "UCHUU_STATE" in caught.value.advice
