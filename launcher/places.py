"""Where things are on this machine."""

import hashlib
import os
import pwd
import shutil
from pathlib import Path

from launcher.steps import fail

ROOT = Path(__file__).resolve().parents[1]
VENV = ROOT / ".venv"
PYTHON = VENV / "bin" / "python"
CLIENT = ROOT / "client"
CORE, WEB = ROOT / "core", ROOT / "web"


def is_root() -> bool:
    """Return whether we run as root, and PostgreSQL therefore as its own user."""
    return os.geteuid() == 0


def _reachable_by_all(folder: Path) -> bool:
    """Return whether another user may pass through every folder down to *folder*."""
    return all(parent.stat().st_mode & 0o001 for parent in (folder, *folder.parents))


def state_folder() -> Path:
    """Return the folder of everything that this installation keeps: database, keys, logs.

    ``UCHUU_STATE`` names another one. As root, PostgreSQL runs as user ``postgres``; where that
    user cannot reach the project (a 0700 folder above it), a folder below /var/lib is taken.
    """
    named = os.environ.get("UCHUU_STATE")
    if named:
        folder = Path(named).resolve()
    elif is_root() and not _reachable_by_all(ROOT):
        mark = hashlib.sha256(str(ROOT).encode()).hexdigest()[:10]
        folder = Path("/var/lib") / f"uchuu-{mark}"
    else:
        folder = ROOT / ".state"
    folder.mkdir(parents=True, exist_ok=True)
    if is_root():
        folder.chmod(0o755)  # PostgreSQL runs as another user
    return folder


def enough_room(folder: Path, megabytes: int) -> None:
    """Hold that *folder*'s disk has room.

    Raises:
        StepFailed: it has less.
    """
    free = shutil.disk_usage(folder).free // 1_000_000
    if free < megabytes:
        fail(
            "find room on the disk",
            f"{free} MB are free where {folder} is; {megabytes} MB are needed. Nothing was changed",
            "Delete something, or name a folder on another disk: UCHUU_STATE=/some/folder ./uchuu start",
        )


def database_user() -> pwd.struct_passwd | None:
    """Return the system user that PostgreSQL runs as: ``postgres`` under root, else None (us)."""
    if not is_root():
        return None
    try:
        return pwd.getpwnam("postgres")
    except KeyError:
        return None
