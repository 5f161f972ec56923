"""A host's logs: many processes write one file, and lose no line while the real logrotate takes it away."""

import re
import shutil
import subprocess
import sys
from pathlib import Path

import pytest

from launcher import install
from launcher.places import PYTHON, ROOT, WEB, is_root
from launcher.serving.host import environment
from launcher.tests.test_serving import _read

LINES = 400
WRITES = f"""
import django, logging, time
django.setup()
log = logging.getLogger("uchuu.calls")
print("ready", flush=True)
input()
for number in range({LINES}):
    log.info("line %d", number)
    time.sleep(0.001)
"""


def _program() -> Path:
    found = shutil.which("logrotate", path="/usr/sbin:/usr/bin:/sbin")
    if found is None and not is_root():
        pytest.skip("logrotate is not here, and only root can install it")
    install.debian("logrotate", "logrotate", Path(found) if found else None)
    return Path("/usr/sbin/logrotate")


def test_no_line_is_lost_while_logs_are_taken_away(tmp_path: Path) -> None:
    program = _program()
    found = _read(tmp_path, ("server.state", str(tmp_path)))
    told = environment(found, "server-1")
    folder = Path(told["UCHUU_LOG"]).parent
    folder.mkdir()
    config = (ROOT / "deploy" / "logrotate" / "uchuu").read_text()
    config = config.replace("/var/lib/uchuu/log", str(folder)).replace("su uchuu uchuu", "")
    config = config.replace("rotate 14", "rotate 1000")
    place = tmp_path / "logrotate"
    place.write_text(config)
    place.chmod(0o600)
    writers = [
        subprocess.Popen(
            [PYTHON, "-c", WRITES],
            cwd=WEB,
            env=told,
            stdin=subprocess.PIPE,
            stdout=subprocess.PIPE,
            text=True,
        )
        for _ in range(2)
    ]
    for writer in writers:
        assert writer.stdout
        assert writer.stdout.readline() == "ready\n"
    for writer in writers:
        assert writer.stdin
        writer.stdin.write("\n")
        writer.stdin.flush()
    rotations = 0
    while any(writer.poll() is None for writer in writers):
        subprocess.run([program, "-f", "-s", tmp_path / "told", place], check=True)
        rotations += 1
    for writer in writers:
        with writer:
            assert writer.returncode == 0
    assert rotations > 1
    files = sorted(folder.iterdir())
    assert len(files) > 2, "each time a new one was begun"
    written = b"".join(
        subprocess.run(["zcat", "-f", file], check=True, capture_output=True).stdout
        for file in files
    )
    numbers = re.findall(rb'"message": "line (\d+)"', written)
    assert sorted(map(int, numbers)) == sorted([*range(LINES), *range(LINES)])


@pytest.mark.parametrize(
    ("says", "is_taken"),
    [
        ("#!/bin/sh\nexit 0", True),
        ("#!/bin/sh\nexit 1", False),
        (None, False),
    ],
    ids=["usable", "another version, or it makes no environments", "not there"],
)
def test_debians_python_is_taken_where_it_can_be_used(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch, says: str | None, is_taken: bool
) -> None:
    place = tmp_path / "python3"
    if says is not None:
        place.write_text(says)
        place.chmod(0o755)
    monkeypatch.setattr(install, "OPTIMIZED", place)
    assert install.interpreter() == (place if is_taken else Path(sys.executable))
