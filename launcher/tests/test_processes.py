"""Processes that were started give way as far as they were told, with all that they start."""

import os
import sys
from pathlib import Path

import pytest

from launcher import processes

TELLS = """
import os, subprocess, sys
from pathlib import Path
tell = "import os; print(os.nice(0))"
subprocess.run([sys.executable, "-c", tell], check=True)
group = Path("/proc/self/autogroup")
print(group.read_text().split()[-1] if group.exists() else "none", flush=True)
"""


@pytest.mark.parametrize("niceness", [0, 15, 19])
def test_a_process_gives_way_with_its_whole_session(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch, niceness: int
) -> None:
    monkeypatch.setattr(processes, "state_folder", lambda: tmp_path)
    monkeypatch.setattr(processes, "_notes", lambda: tmp_path)
    before = os.nice(0)
    output = tmp_path / "out"
    process = processes.begin(
        "one",
        [sys.executable, "-c", TELLS],
        cwd=tmp_path,
        env={},
        output=output,
        gives_way=niceness,
    )
    assert process.wait(60) == 0
    nice, group = output.read_text().split()
    assert int(nice) == min(19, before + niceness)
    if group != "none":
        assert int(group) == niceness  # a session that is new
