"""Long work gives way, as the system itself tells."""

import subprocess
import sys
from pathlib import Path

from jobs.giving_way import LEAST

TELLS = """
import os
from pathlib import Path
from jobs.giving_way import give_way
give_way()
group = Path("/proc/self/autogroup")
print(os.nice(0), group.read_text().split()[-1] if group.exists() else 19)
"""


def test_what_works_jobs_off_gives_way_with_its_whole_session() -> None:
    told = subprocess.run(
        [sys.executable, "-c", TELLS],
        cwd=Path(__file__).parents[2],
        start_new_session=True,
        capture_output=True,
        text=True,
        check=True,
    )
    assert told.stdout.split() == [str(LEAST), str(LEAST)]
