"""Installing what is missing: Debian packages, Python packages, npm packages, the built front end.

Each part leaves a stamp of what it was made from, so that a second start does nothing.
"""

import hashlib
import shutil
import subprocess
import sys
from collections.abc import Iterable
from pathlib import Path

from launcher.places import CLIENT, PYTHON, ROOT, VENV, is_root, state_folder
from launcher.steps import fail, run, say

OPTIMIZED = Path("/usr/bin/python3")
"""Debian's own Python, compiled with profiles: 1.1 to 1.7 times as fast as one without, measured."""


def _digest(files: Iterable[Path]) -> str:
    found = hashlib.sha256()
    for file in sorted(files):
        found.update(str(file.relative_to(ROOT)).encode())
        found.update(file.read_bytes())
    return found.hexdigest()


def _stamped(stamp: Path, digest: str) -> bool:
    return stamp.exists() and stamp.read_text() == digest


def debian(program: str, package: str, found: Path | None) -> None:
    """Install *package* when *program* is missing; only root can."""
    if found is not None:
        return
    advice = f"Install it by hand: apt-get install {package}"
    if not (is_root() and shutil.which("apt-get")):
        fail(f"find {program}", "it is not on this machine", advice)
    env = {"DEBIAN_FRONTEND": "noninteractive"}
    run("update the package list", ["apt-get", "update"], advice=advice, env=env)
    run(
        f"install {package}",
        ["apt-get", "install", "-y", "--no-install-recommends", package],
        advice=advice,
        env=env,
    )


def interpreter() -> Path:
    """Return the Python that everything runs with: Debian's own of the same version, else the one that runs this."""
    same = f"sys.version_info[:2] != {sys.version_info[:2]}"
    asked = f"import sys, ensurepip, venv; sys.exit({same})"
    try:
        can = subprocess.run([OPTIMIZED, "-c", asked], check=False, capture_output=True)
    except OSError:
        return Path(sys.executable)
    return OPTIMIZED if can.returncode == 0 else Path(sys.executable)


def python_packages(*, for_tests: bool = False) -> None:
    """Make the virtual environment and install the locked packages."""
    name = "dev" if for_tests else "app"
    lock = ROOT / "requirements" / f"{name}.lock"
    stamp, digest = VENV / f".{name}", _digest([lock])
    if _stamped(stamp, digest) or (not for_tests and _stamped_dev(digest)):
        return
    advice = "Is the package registry reachable? Try again, or remove the folder .venv first."
    if not PYTHON.exists():
        run("make the virtual environment", [interpreter(), "-m", "venv", VENV], advice=advice)
    pip: list[str | Path] = [PYTHON, "-m", "pip", "install", "-q", "--disable-pip-version-check"]
    if not (VENV / "bin" / "uv").exists():
        run("install the installer", [*pip, "uv==0.13.9"], advice=advice)
    run(
        f"install Python packages ({name})",
        [
            *(VENV / "bin" / "uv", "pip", "install", "-q", "--require-hashes"),
            *("--python", PYTHON, "-r", lock),
        ],
        advice=advice,
    )
    stamp.write_text(digest)
    if for_tests:
        (VENV / ".app").write_text(_digest([ROOT / "requirements" / "app.lock"]))


def _stamped_dev(digest: str) -> bool:
    return _stamped(VENV / ".app", digest)


def is_complete() -> bool:
    """Return whether everything that serving needs is installed and built."""
    lock = ROOT / "requirements" / "app.lock"
    return _stamped(VENV / ".app", _digest([lock])) and (CLIENT / "dist" / "index.html").exists()


def front_end(*, build: bool = True) -> None:
    """Install npm packages and build the front end where its sources changed."""
    if shutil.which("npm") is None:
        fail("find npm", "Node is not on this machine", "Install Node 20 with npm.")
    lock = CLIENT / "package-lock.json"
    stamp, digest = CLIENT / "node_modules" / ".uchuu", _digest([lock])
    if not _stamped(stamp, digest):
        run(
            "install npm packages",
            ["npm", "ci", "--no-audit", "--no-fund", "--loglevel=error"],
            cwd=CLIENT,
            advice="Is the package registry reachable? Try again.",
        )
        stamp.write_text(digest)
    if not build:
        return
    sources = [f for f in (CLIENT / "src").rglob("*") if f.is_file()]
    sources += [f for f in CLIENT.iterdir() if f.is_file()]
    built, made_from = CLIENT / "dist" / ".made-from", _digest(sources)
    if not _stamped(built, made_from):
        say("  building the front end …")
        run("build the front end", ["npm", "run", "build"], cwd=CLIENT, advice="See above.")
        run(
            "compress the front end",
            [PYTHON, "-m", "whitenoise.compress", "-q", CLIENT / "dist"],
            advice="See above.",
        )
        built.write_text(made_from)


def chromium() -> Path:
    """Return Debian's Chromium, installed when missing."""
    place = shutil.which("chromium")
    debian("Chromium", "chromium", Path(place) if place else None)
    return Path(shutil.which("chromium") or "/usr/bin/chromium")


def logs() -> Path:
    """Return the folder of log files."""
    folder = state_folder() / "log"
    folder.mkdir(exist_ok=True)
    return folder
