"""A school's server under load and under fire; run by ``./uchuu bench school`` (root: it makes network namespaces).

200 teachers type a line every three seconds, each line judged, explained and stored. First on one quiet host, against one
teacher alone; then over two hosts in network namespaces of their own, while one process after the other is killed, a
host is cut off, and both are upgraded in turn. ``UCHUU_FIRE`` is how many seconds of that (600 asked).
"""

import os
import random
import signal
import statistics
import subprocess
import tempfile
import threading
import time
from collections.abc import Callable, Sequence
from pathlib import Path

from school import DATABASE, School

from bench.typists import PAUSE, Typist
from launcher import install
from launcher.checks import TEST_CLUSTER

TEACHERS = int(os.environ.get("UCHUU_TEACHERS", "200"))
PASSWORD = "quay-lantern-7"


class Networked(School):
    """Two hosts in network namespaces of their own: what they say to each other's database crosses a network."""

    SPACES = ("uchuu-a", "uchuu-b")

    def place(self, number: int) -> tuple[str, Sequence[str]]:
        """Return the address of a host in its namespace."""
        return f"10.77.{number}.2:8610", ("ip", "netns", "exec", self.SPACES[number - 1])

    def lay(self) -> None:
        """Make the namespaces, and a way from each to the database."""
        install.debian("ip", "iproute2", Path("/sbin/ip") if Path("/sbin/ip").exists() else None)
        socat = Path("/usr/bin/socat")
        install.debian("socat", "socat", socat if socat.exists() else None)
        self._ways = []
        TEST_CLUSTER.start()
        for number, space in enumerate(self.SPACES, start=1):
            for left in (("netns", "del", space), ("link", "del", f"ve{number}")):
                # by a run that was killed
                subprocess.run(["ip", *left], check=False, stderr=subprocess.DEVNULL)
            ours, theirs = f"10.77.{number}.1", f"10.77.{number}.2"
            _ip("netns", "add", space)
            _ip(
                "link", "add", f"ve{number}", "type", "veth", "peer", "name", "host", "netns", space
            )
            _ip("addr", "add", f"{ours}/24", "dev", f"ve{number}")
            _ip("link", "set", f"ve{number}", "up")
            for words in (
                ("addr", "add", f"{theirs}/24", "dev", "host"),
                ("link", "set", "host", "up"),
                ("link", "set", "lo", "up"),
            ):
                _ip("-n", space, *words)
            port = TEST_CLUSTER.port
            here = [
                "socat",
                f"TCP-LISTEN:{port},bind={ours},fork,reuseaddr",
                f"TCP:127.0.0.1:{port}",
            ]
            there = [
                "socat",
                f"TCP-LISTEN:{port},bind=127.0.0.1,fork,reuseaddr",
                f"TCP:{ours}:{port}",
            ]
            self._ways += [
                subprocess.Popen(here, start_new_session=True),
                subprocess.Popen(["ip", "netns", "exec", space, *there], start_new_session=True),
            ]

    def cut(self, number: int, seconds: float) -> None:
        """Cut one host off for a while."""
        away = ("blackhole", f"10.77.{number}.2/32")
        _ip("route", "add", *away)
        time.sleep(seconds)
        _ip("route", "del", *away)

    def take_up(self) -> None:
        """Take everything away again."""
        for way in self._ways:
            os.killpg(way.pid, signal.SIGKILL)
            way.wait()
        for space in self.SPACES:
            _ip("netns", "del", space)


def _ip(*words: str) -> None:
    subprocess.run(["ip", *words], check=True)


def _accounts(school: School) -> list[str]:
    """Make the teachers; return a session of each."""
    made = (
        "from django.contrib.auth.models import User; from django.contrib.auth.hashers import make_password;"
        f"p = make_password({PASSWORD!r});"
        f"User.objects.bulk_create([User(username=f'typist{{n}}', password=p) for n in range({TEACHERS})]);"
        "from django.contrib.sessions.backends.db import SessionStore as S;"
        "made = [(u, S()) for u in User.objects.filter(username__startswith='typist').order_by('pk')];"
        "[s.update({'_auth_user_id': str(u.pk), '_auth_user_hash': u.get_session_auth_hash(),"
        " '_auth_user_backend': 'teachers.backend.KeptTeachers'}) for u, s in made];"
        "[s.save() for u, s in made];"
        "print('sessions', *[s.session_key for u, s in made])"
    )
    told = school.django("shell", "-c", made)
    line = next(line for line in told.splitlines() if line.startswith("sessions "))
    return line.split()[1:]


def _typed(
    school: School,
    sessions: list[str],
    seconds: float,
    meanwhile: Callable[[], None] | None = None,
) -> tuple[float, list[Typist]]:
    """Have them type for so long; return the verdicts' 95 % in milliseconds, and the typists."""
    ends = threading.Event()
    typists = [Typist(school, f"typist{n}", key, ends) for n, key in enumerate(sessions)]
    for one in typists:
        one.begin()
    for one in typists:
        one.start()
    until = time.monotonic() + seconds
    while time.monotonic() < until:
        if meanwhile is not None:
            meanwhile()
        time.sleep(1)
    ends.set()
    for one in typists:
        one.join(120)
        assert not one.is_alive(), "somebody never got an answer"
    times = [took for one in typists for took in one.verdicts]
    high = statistics.quantiles(times, n=20)[18]
    saves = [took for one in typists for took in one.saves]
    stored = statistics.median(saves), statistics.quantiles(saves, n=20)[18]
    why = sum(one.explained for one in typists) / len(times)
    refused = [status for one in typists for status in one.refused]
    lost = [example for one in typists for example in one.lost]
    print(
        f"{len(sessions)} teachers, {seconds:.0f} s: {len(times)} verdicts, median {statistics.median(times):.0f} ms,"
        f" 95 % {high:.0f} ms; {len(times) / len(sessions) / seconds * PAUSE:.0%} of the lines that were due;"
        f" stored after {stored[0]:.0f} ms, 95 % {stored[1]:.0f} ms; {why:.0%} explained before the next line;"
        f" {len(refused)} calls sent again {sorted(set(refused))}, {len(lost)} lines lost",
        flush=True,
    )
    return high, typists


def quiet(folder: Path) -> None:
    """One host of two cores, warm: one teacher, then more and more."""
    school = School(folder, hosts=1, workers={"web": 2, "algebra": 2, "jobs": 1})
    school.begin()
    try:
        sessions = _accounts(school)
        _typed(school, sessions[:25], 20)
        alone, _ = _typed(school, sessions[:1], 120)
        for count in (25, 50, 100, 150):
            _typed(school, sessions[:count], 30)
        many, _ = _typed(school, sessions, 60)
        print(f"{TEACHERS} teachers at 95 %: {many / alone:.1f} times one alone (3 asked)")
    finally:
        school.end()


def fire(folder: Path, seconds: float) -> None:
    """Two hosts, one process after the other killed, one cut off, both upgraded in turn."""
    proxies = {"proxies": ["10.77.1.1", "10.77.2.1"]}
    school = Networked(folder, hosts=2, server=proxies, workers={"web": 1, "algebra": 2, "jobs": 1})
    school.lay()
    try:
        school.begin()
        sessions = _accounts(school)
        calm, _ = _typed(school, sessions, 30)
        draws, killed, begun = random.Random(1), 0, time.monotonic()
        done = {"cut": False, "upgrade": False}

        def upgrade() -> None:
            for host in school.hosts:
                host.stop()
                host.begin()
                host.wait()

        def shoot() -> None:
            nonlocal killed
            passed = time.monotonic() - begun
            if passed > seconds / 3 and not done["cut"]:
                done["cut"] = True
                school.cut(1, 10)
            elif passed > seconds * 2 / 3 and not done["upgrade"]:
                done["upgrade"] = True
                upgrade()
            else:
                time.sleep(4)
                draws.choice(school.hosts).kill(draws.choice(("server", "verdicts", "jobs")))
                killed += 1

        under, _ = _typed(school, sessions, seconds, shoot)
        print(
            f"under fire ({killed} kills, one host cut off for 10 s, both upgraded):"
            f" 95 % {under / calm:.1f} times without"
        )
        twice = school.django(
            "shell",
            "-c",
            "from jobs.models import StepResult; from django.db.models import Count;"
            "print(StepResult.objects.values('job', 'number').annotate(n=Count('pk')).filter(n__gt=1).count())",
        )
        print(f"steps of jobs done twice: {twice.strip().splitlines()[-1]}")
    finally:
        school.end()
        school.take_up()


def main() -> None:
    """Measure and print."""
    os.environ.setdefault("PYTHONPYCACHEPREFIX", str(TEST_CLUSTER.folder / "bytecode"))
    with tempfile.TemporaryDirectory() as folder:
        quiet(Path(folder))
    TEST_CLUSTER.client("dropdb", "--if-exists", "--force", DATABASE)
    with tempfile.TemporaryDirectory() as folder:
        fire(Path(folder), float(os.environ.get("UCHUU_FIRE", "600")))


if __name__ == "__main__":
    main()
