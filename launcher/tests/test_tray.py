"""The tray is started, watched and ended like the other parts; what lies in it survives a kill."""

import json
import stat
import urllib.error
import urllib.request
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from launcher import server
from launcher.places import state_folder
from launcher.tray import Tray

PAPER = {"id": "a", "sitting": "s", "code": "01", "works": []}


@pytest.fixture
def tray(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> Iterator[Tray]:
    monkeypatch.setenv("UCHUU_STATE", str(tmp_path))
    found = Tray("trial")
    found.begin("http://127.0.0.1:9")
    yield found
    found.end()


def waiting(tray: Tray, secret: str) -> Any:
    request = urllib.request.Request(
        f"http://127.0.0.1:{tray.port}/papers?sitting=s",
        headers={"Authorization": f"Bearer {secret}"},
    )
    with urllib.request.urlopen(request, timeout=10) as reply:
        return json.loads(reply.read())["waiting"]


def _secret() -> str:
    return (state_folder() / "tray-secret").read_text().strip()


def test_a_killed_tray_comes_back_at_its_address_with_what_lay_in_it(tray: Tray) -> None:
    tray.put(json.dumps([PAPER]).encode())
    address = server.tray_address("trial").read_text()
    tray.kill()
    assert tray.keep()
    tray.wait()
    assert not tray.keep()
    assert waiting(tray, _secret()) == ["a"]
    assert server.tray_address("trial").read_text() == address
    assert address.strip().endswith(f":{tray.port}")


def test_the_secret_is_made_once_and_nobody_else_reads_it(tray: Tray) -> None:
    place = state_folder() / "tray-secret"
    first = _secret()
    assert len(first) > 30
    assert stat.S_IMODE(place.stat().st_mode) == 0o600
    tray.end()
    tray.begin("http://127.0.0.1:9")
    assert _secret() == first
    with pytest.raises(urllib.error.HTTPError) as refused:
        waiting(tray, "another")
    assert refused.value.code == 401


def test_a_secret_that_was_emptied_is_made_anew(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setenv("UCHUU_STATE", str(tmp_path))
    (tmp_path / "tray-secret").write_text("")
    found = Tray("trial")
    found.begin("")
    try:
        assert waiting(found, _secret()) == []
    finally:
        found.end()


def test_the_demo_stack_is_papers_of_one_sitting() -> None:
    demo = Path(__file__).resolve().parents[2] / "demo"
    papers = json.loads((demo / "tray.json").read_text("utf-8"))
    classes = json.loads((demo / "marin-classes.json").read_text("utf-8"))["classes"]
    given = [one for school_class in classes for one in school_class["sittings"] if one.get("id")]
    assert {paper["sitting"] for paper in papers} == {one["id"] for one in given}
    assert len({paper["id"] for paper in papers}) == len(papers) > 20
    codes = next(one["codes"] for one in classes if given[0] in one["sittings"])
    assert {paper["code"] for paper in papers} <= set(codes)
