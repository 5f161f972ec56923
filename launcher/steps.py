"""Running one step after the other, and saying which failed, why, and what to do."""

import os
import subprocess
import sys
import time
from collections.abc import Mapping, Sequence
from pathlib import Path
from typing import NoReturn


class StepFailed(Exception):
    """A step did not work; ``advice`` says what to do."""

    def __init__(self, step: str, why: str, advice: str) -> None:
        super().__init__(f"{step}: {why}")
        self.step, self.why, self.advice = step, why, advice


def say(text: str) -> None:
    """Tell the user something, at once."""
    print(text, flush=True)


def fail(step: str, why: str, advice: str) -> NoReturn:
    """Stop with a message."""
    raise StepFailed(step, why, advice)


def run(
    step: str,
    command: Sequence[str | Path],
    *,
    advice: str,
    cwd: Path | None = None,
    env: Mapping[str, str] | None = None,
    shown: bool = False,
) -> str:
    """Run a command as the step *step*; output is shown only on failure, unless ``shown``.

    Raises:
        StepFailed: it could not be started or ended with another code than 0.
    """
    started = time.monotonic()
    try:
        done = subprocess.run(
            [str(part) for part in command],
            cwd=cwd,
            env={**os.environ, **(env or {})},
            stdin=subprocess.DEVNULL,
            stdout=None if shown else subprocess.PIPE,
            stderr=None if shown else subprocess.STDOUT,
            text=True,
            check=False,
        )
    except OSError as wrong:
        fail(step, str(wrong), advice)
    if done.returncode != 0:
        if not shown:
            sys.stderr.write("\n".join((done.stdout or "").splitlines()[-40:]) + "\n")
        fail(step, f"“{' '.join(map(str, command))[:160]}” ended with {done.returncode}", advice)
    say(f"  {step} ({time.monotonic() - started:.1f} s)")
    return done.stdout or ""
