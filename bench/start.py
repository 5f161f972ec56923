"""Time of a second start: from the command to the address, everything being installed.

Uses an installation of its own state; run by ``./uchuu bench start``.
"""

import os
import signal
import subprocess
import sys
import tempfile
import time
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]


def _started(state: str) -> float:
    """Start, wait for the address, stop; return seconds until the address stood there."""
    begun = time.monotonic()
    process = subprocess.Popen(
        [str(ROOT / "uchuu"), "start", "--port", "8655"],
        env={**os.environ, "UCHUU_STATE": state},
        stdout=subprocess.PIPE,
        stderr=subprocess.STDOUT,
        text=True,
    )
    assert process.stdout is not None
    for line in process.stdout:
        if "Uchuu is ready" in line:
            break
    else:
        raise RuntimeError("it did not start: is another Uchuu on port 8655?")
    seconds = time.monotonic() - begun
    process.send_signal(signal.SIGINT)
    process.wait(30)
    return seconds


def main() -> int:
    """Measure and print."""
    with tempfile.TemporaryDirectory(prefix="uchuu-bench-") as state:
        Path(state).chmod(0o755)
        first, second = _started(state), _started(state)
    print(f"first start with an empty database: {first:.1f} s; second start: {second:.1f} s")
    return 0 if second < 10 else 1


if __name__ == "__main__":
    sys.exit(main())
