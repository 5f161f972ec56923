"""Long work leaves the processor to those who type."""

import contextlib
import os
from pathlib import Path

LEAST = 19


def give_way() -> None:
    """Let this process, and all that it will start, run only when nobody else wants to.

    Linux shares the processor out among sessions first, then among the processes of each: the session
    that the launcher gave to this process gives way too, where there is such a thing.
    """
    os.nice(LEAST)
    with contextlib.suppress(OSError):
        Path("/proc/self/autogroup").write_text(str(LEAST))
