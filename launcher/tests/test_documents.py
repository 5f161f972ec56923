"""Pages that promise: every test that the security page names is there; the units and the proxy's file are sound."""

import re
import shutil
import subprocess
from pathlib import Path

import pytest

from launcher.install import debian
from launcher.places import ROOT

CHAPTERS = range(1, 15)


def test_the_security_page_goes_through_the_chapters_and_names_real_tests() -> None:
    text = (ROOT / "docs" / "security.md").read_text("utf-8")
    rows = [line for line in text.splitlines() if line.startswith("| V")]
    assert {int(re.match(r"\| V(\d+)", row).group(1)) for row in rows} == {*CHAPTERS}  # type: ignore[union-attr]
    for row in rows:
        _, section, state, why, _ = (part.strip() for part in row.split("|"))
        assert state in ("held", "partly", "does not apply"), section
        assert len(why) > 5, section
        file = ""
        for named in re.findall(r"`([^`]*)`", why):
            place, _, test = named.partition("::")
            file = place or file
            if "/tests/" in place or place.startswith("e2e/test_"):
                assert (ROOT / place).is_file(), named
            if test:
                assert f"def {test}(" in (ROOT / file).read_text("utf-8"), named


def test_every_page_of_the_documents_that_is_linked_is_there() -> None:
    for page in (*(ROOT / "docs").glob("*.md"), ROOT / "README.md"):
        for link in re.findall(r"\]\(([^)#]+)", page.read_text("utf-8")):
            if not link.startswith("http"):
                assert (page.parent / link).exists(), f"{page.name}: {link}"


@pytest.mark.parametrize("unit", ["uchuu.service", "uchuu-backup.service", "uchuu-backup.timer"])
def test_the_units_are_ones_that_systemd_takes(unit: str, tmp_path: Path) -> None:
    place = shutil.which("systemd-analyze")
    debian("systemd-analyze", "systemd", Path(place) if place else None)
    shutil.copytree(ROOT / "deploy" / "systemd", tmp_path, dirs_exist_ok=True)
    for file in tmp_path.iterdir():  # the programs that it starts are not installed here
        file.write_text(file.read_text().replace("/opt/uchuu/uchuu", "/bin/true"))
    done = subprocess.run(
        ["systemd-analyze", "verify", "--man=no", str(tmp_path / unit)],
        capture_output=True,
        text=True,
        check=False,
    )
    said = [line for line in (done.stdout + done.stderr).splitlines() if unit in line]
    assert said == [], said
