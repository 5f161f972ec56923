"""A school's server as it is run: TLS at the proxy, two hosts on one database, one of them killed, stopped, cut off."""

import json
import os
import socket
import ssl
import subprocess
import sys
import threading
import time
import tomllib
import urllib.error
import urllib.request
from pathlib import Path
from typing import Any

import pytest
from school import ADDRESS, DATABASE, NAME, School, certificate, toml
from school_client import GOOD, Client

from launcher.checks import TEST_CLUSTER
from launcher.places import ROOT
from launcher.serving.configuration import read


@pytest.fixture(scope="session")
def teacher(school: School) -> str:
    """Return a teacher's name."""
    school.manage("teacher", "add", "holm", password=GOOD)
    return "holm"


@pytest.mark.filterwarnings("ignore:ssl.TLSVersion:DeprecationWarning")
def test_the_way_is_encrypted_and_only_for_the_schools_name(school: School) -> None:
    status, headers, _ = school.call("GET", "/")
    assert status == 200
    assert headers["Strict-Transport-Security"] == "max-age=31536000"
    _, headers, _ = school.call("GET", "/api/session")
    cookie = headers["Set-Cookie"]
    assert cookie.startswith("__Host-csrftoken=")
    assert "Secure" in cookie

    assert _asked(f"http://{ADDRESS}/sets", Host=NAME) == (301, f"https://{NAME}/sets")

    strange = ssl.create_default_context(cafile=str(school.authority))
    with socket.create_connection((ADDRESS, 443), 10) as way, pytest.raises(ssl.SSLError):
        strange.wrap_socket(way, server_hostname="other.example")
    with socket.create_connection((ADDRESS, 443), 10) as way, pytest.raises(ssl.SSLError):
        ssl.create_default_context().wrap_socket(way, server_hostname=NAME)
    old = ssl.create_default_context(cafile=str(school.authority))
    old.minimum_version, old.maximum_version = ssl.TLSVersion.TLSv1, ssl.TLSVersion.TLSv1_1
    with socket.create_connection((ADDRESS, 443), 10) as way, pytest.raises(ssl.SSLError):
        old.wrap_socket(way, server_hostname=NAME)


class _NoRedirects(urllib.request.HTTPRedirectHandler):
    def redirect_request(self, *_: Any) -> None:
        return None


def _asked(place: str, **headers: str) -> tuple[int, str]:
    """Ask for *place*; return the status, and where one is sent."""
    request = urllib.request.Request(place, headers=headers)
    try:
        with urllib.request.build_opener(_NoRedirects).open(request, timeout=10) as reply:
            return reply.status, ""
    except urllib.error.HTTPError as refused:
        with refused:
            return refused.code, refused.headers.get("Location", "")


def test_a_host_answers_to_its_names_alone(school: School) -> None:
    place = f"http://{school.hosts[0].address}/api/session"
    assert _asked(place, Host="evil.example")[0] == 400
    assert _asked(place, Host=NAME)[0] == 200


def test_health_and_figures_are_for_whoever_keeps_it(school: School) -> None:
    assert school.call("GET", "/api/health/ready")[0] == 403
    host = school.hosts[0]
    assert host.ready() is not None
    place = f"http://{host.address}/api/health/figures"
    assert _asked(place)[0] == 403
    assert _asked(place, Authorization="Bearer another")[0] == 403
    token = {"Authorization": "Bearer a token for whoever watches"}
    text = ""
    for _ in range(600):
        if "uchuu_job_workers 2" in text:  # of both hosts, once they have begun
            break
        request = urllib.request.Request(place, headers=token)
        with urllib.request.urlopen(request, timeout=10) as reply:
            text = reply.read().decode()
        time.sleep(0.2)
    assert "uchuu_job_workers 2" in text
    assert 'uchuu_call_seconds_count{method="GET",route="api/session"' in text
    assert "holm" not in text


def test_a_call_has_one_line_with_its_number_and_nothing_personal(
    school: School, teacher: str
) -> None:
    client = Client(school)
    client.sign_in(teacher)
    _, headers, _ = school.call("GET", "/api/session")
    number = headers["X-Request-Id"]
    logs = [place for host in school.hosts for place in (host.state / "log").glob("server-*.log")]
    lines = [json.loads(line) for place in logs for line in place.read_text().splitlines()]
    mine = [line for line in lines if line.get("number") == number]
    assert [(line["route"], line["status"]) for line in mine] == [("api/session", 200)]
    text = "".join(place.read_text() for place in logs)
    assert teacher not in text
    assert GOOD not in text


def test_what_is_begun_and_ended_on_one_host_is_so_on_the_other(
    school: School, teacher: str
) -> None:
    first = Client(school, at=0)
    first.sign_in(teacher)
    second = Client(school, at=1)
    second.cookies = dict(first.cookies)
    assert second.call("GET", "/session")[1]["username"] == teacher
    stored = first.call("POST", "/examples", {"task": "solve", "given": "3x = 12"})[1]
    assert second.call("GET", f"/examples/{stored['id']}")[1]["given"] == "3x = 12"

    assert second.call("DELETE", "/session")[0] == 204
    assert first.call("GET", "/examples")[0] == 401, "at once, not after a while"


def _types(client: Client, count: int, ended: threading.Event) -> list[int]:
    """Type lines into an example, one after the other, each stored; return what was answered."""
    made = client.call("POST", "/examples", {"task": "solve", "given": "2x + 6 = 10"})[1]
    version = made["version"]
    lines: list[str] = []
    answers: list[int] = []
    while not ended.is_set() and len(lines) < count:
        lines.append(f"2x = {len(lines)}")
        body = {"task": "solve", "given": "2x + 6 = 10", "lines": lines, "version": version}
        status, told = client.call("PUT", f"/examples/{made['id']}", body)
        answers.append(status)
        if status == 200:
            version = told["version"]
        else:
            lines.pop()  # it is sent again, as the page does
        time.sleep(0.05)
    kept = client.call("GET", f"/examples/{made['id']}")[1]["lines"]
    assert kept == lines, "no typed line is lost"
    return answers


def test_an_upgrade_without_a_pause_host_after_host(school: School, teacher: str) -> None:
    clients = [Client(school) for _ in range(3)]
    answers: list[int] = []
    ended = threading.Event()
    for client in clients:
        client.sign_in(teacher)
    threads = [
        threading.Thread(target=lambda c=client: answers.extend(_types(c, 10_000, ended)))
        for client in clients
    ]
    for thread in threads:
        thread.start()
    try:
        for host in school.hosts:
            host.stop()
            host.begin()
            host.wait()
    finally:
        ended.set()
        for thread in threads:
            thread.join()
    assert len(answers) > 50
    again = [status for status in answers if status != 200]
    assert set(again) <= {502, 503}, "which the page sends again unasked"
    assert len(again) <= len(answers) / 50, "and whoever types notices nothing"


def test_a_host_that_is_killed_is_missed_by_nobody_for_long(school: School, teacher: str) -> None:
    client = Client(school)
    client.sign_in(teacher)
    school.hosts[0].kill("server")
    for _ in range(20):
        assert client.call("GET", "/examples")[0] == 200
    school.hosts[0].wait()
    parts = school.hosts[0].parts()
    assert any(name.startswith("server") for name in parts)


def _judged(school: School, host: int) -> int:
    """Return how many lines the processes for verdicts have judged on a host."""
    (log,) = (school.hosts[host].state / "log").glob("verdicts-*.log")
    return log.read_text().count('"route": "api/algebra/check"')


def test_verdicts_have_processes_of_their_own_and_are_missed_by_nobody(
    school: School, teacher: str
) -> None:
    client = Client(school)
    client.sign_in(teacher)
    asked = {"task": "solve", "given": "4x - 9 = 11", "lines": ["4x = 20"], "goes_on": True}
    before = [_judged(school, host) for host in (0, 1)]
    for path, laws in (("?quick=true", False), ("", True)):
        for _ in range(4):
            status, told = client.call("POST", f"/algebra/check{path}", asked)
            assert (status, told["lines"][0]["verdict"]) == (200, "ok")
            assert bool(told["lines"][0].get("law")) is laws, "the quick ones say no more"
    judged = [_judged(school, host) - was for host, was in zip((0, 1), before, strict=True)]
    assert sum(judged) == 4

    school.hosts[0].kill("verdicts")
    school.hosts[1].kill("verdicts")
    for _ in range(4):
        assert client.call("POST", "/algebra/check?quick=true", asked)[0] == 200, "others judge"
    for host in (0, 1):
        was = _judged(school, host)
        for _ in range(600):
            client.call("POST", "/algebra/check?quick=true", asked)
            if _judged(school, host) > was:
                break
            time.sleep(0.1)
        assert _judged(school, host) > was, "they are started again"


def test_who_types_goes_first_then_who_stores_then_why_then_long_work(school: School) -> None:
    for host in school.hosts:
        parts = host.parts()
        niceness = {
            name.partition("-")[0]: os.getpriority(os.PRIO_PROCESS, process)
            for name, process in parts.items()
        }
        assert niceness["verdicts"] < niceness["server"] < niceness["jobs1"]
        for name, process in parts.items():
            answers = not name.startswith("jobs")  # those begin theirs with the first job
            workers = _algebra_of(process)
            for _ in range(600):
                if workers or not answers:
                    break
                time.sleep(0.1)
                workers = _algebra_of(process)
            cores = [os.sched_getaffinity(worker) for worker in workers]
            stays_off = [theirs < os.sched_getaffinity(0) for theirs in cores]
            assert workers or not answers
            assert set(stays_off) <= {not name.startswith("verdicts") and (os.cpu_count() or 1) > 1}


def _algebra_of(process: int) -> list[int]:
    """Return the algebra's processes below one of a host's."""
    told = ("ps", "-e", "-ww", "-o", "pid=,pgid=,args=")
    lines = subprocess.run(told, capture_output=True, text=True, check=True).stdout.splitlines()
    found = [line.split(maxsplit=2) for line in lines]
    return [
        int(pid) for pid, group, words in found if int(group) == process and "spawn_main" in words
    ]


def test_a_job_whose_worker_is_killed_is_done_once_by_another_host(
    school: School, teacher: str
) -> None:
    client = Client(school)
    client.sign_in(teacher)
    made = client.call("POST", "/sets", {"title": "Many"})[1]
    problems = [{"task": "solve", "given": f"{n}x + 6 = 4x + {n + 40}"} for n in range(5, 25)]
    client.call("POST", f"/sets/{made['id']}/problems", {"problems": problems})
    before = len(client.call("GET", "/sets")[1]["results"])
    status, job = client.call("POST", f"/sets/{made['id']}/versions", {"count": 2, "seed": 1})
    assert status == 201, job
    for _ in range(400):
        now = client.call("GET", f"/jobs/{job['id']}")[1]
        if now["done"]:
            break
        time.sleep(0.1)
    for host in school.hosts:
        host.kill("jobs")
    for _ in range(1200):
        now = client.call("GET", f"/jobs/{job['id']}")[1]
        if now["state"] not in ("waiting", "running"):
            break
        time.sleep(0.1)
    assert now["state"] in ("done", "partly"), now
    assert now["done"] == now["total"]
    assert len(client.call("GET", "/sets")[1]["results"]) == before + 2


def test_slow_senders_hold_up_nobody(school: School) -> None:
    begun = []
    for _ in range(60):
        way = socket.create_connection((ADDRESS, 443), 10)
        safe = school.trusted().wrap_socket(way, server_hostname=NAME)
        head = f"POST /api/session HTTP/1.1\r\nHost: {NAME}\r\nContent-Length: 1000\r\n\r\n{{"
        safe.sendall(head.encode())
        begun.append(safe)
    started = time.monotonic()
    assert school.call("GET", "/api/session")[0] == 200
    assert time.monotonic() - started < 5, "sixty of them are more than a host has threads"
    for safe in begun:
        safe.close()


def test_a_database_that_goes_and_comes_is_said_and_lived_through(
    school: School, teacher: str
) -> None:
    client = Client(school)
    client.sign_in(teacher)
    TEST_CLUSTER.stop()
    try:
        status, told = client.call("GET", "/examples")
        assert (status, told["code"]) == (503, "database-away")
    finally:
        TEST_CLUSTER.start()
    for host in school.hosts:
        host.wait()
    assert client.call("GET", "/examples")[0] == 200


def test_a_back_up_is_restored_on_an_empty_machine(
    school: School, teacher: str, tmp_path: Path
) -> None:
    client = Client(school)
    client.sign_in(teacher)
    stored = client.call("POST", "/examples", {"task": "solve", "given": "5x = 35"})[1]
    kept = tmp_path / "school.backup"
    school.manage("backup", str(kept))
    assert kept.stat().st_mode & 0o077 == 0

    TEST_CLUSTER.client("dropdb", "--if-exists", "--force", f"{DATABASE}_new")
    TEST_CLUSTER.create_database(f"{DATABASE}_new")
    new = School(tmp_path, hosts=1)
    try:
        record = read(new.hosts[0].config, {})
        config = tmp_path / "new.toml"
        text = new.hosts[0].config.read_text().replace(f"/{DATABASE}", f"/{DATABASE}_new")
        config.touch(mode=0o600)
        config.write_text(text)
        new.hosts[0].config = config
        assert record["database.url"] in new.hosts[0].config.read_text().replace("_new", "")
        new.manage("restore", str(kept))
        again = _refused("restore", str(kept), "--config", str(config))
        assert "there are tables in this database already" in again
        new.hosts[0].begin()
        new.hosts[0].wait()
        there = Client(new, at=0)
        there.sign_in(teacher)
        assert there.call("GET", f"/examples/{stored['id']}")[1]["given"] == "5x = 35"
    finally:
        new.hosts[0].stop()
        new.provider.server_close()


def _refused(*words: str) -> str:
    done = subprocess.run(
        [sys.executable, ROOT / "uchuu", *words], capture_output=True, text=True, check=False
    )
    assert done.returncode == 1, done.stdout
    return done.stdout + done.stderr


@pytest.mark.parametrize(
    ("changes", "says"),
    [
        ({"database": {"password_file": ""}}, "it does not let us in"),
        ({"database": {"url": "postgresql://uchuu@127.0.0.1:1/uchuu"}}, "it does not let us in"),
        ({"server": {"hosts": ["other.example"]}}, "it is not for “other.example”"),
        ({"server": {"secret_file": "/nowhere"}}, "cannot be read"),
        ({"tls": {"days": -1}}, "and not now"),
        ({"tls": {"days": 3}}, "renew it first"),
        ({"tls": {"other": 1}}, "it is not the key of the certificate"),
        ({"database": {"read_only": 1}}, "it can only be read"),
    ],
)
def test_what_is_wrong_is_said_before_anything_is_served(
    school: School, tmp_path: Path, changes: dict[str, dict[str, Any]], says: str
) -> None:
    record = tomllib.loads(school.hosts[0].config.read_text())
    tls = changes.get("tls", {})
    if tls:
        chain, key, _ = certificate(tmp_path, [NAME], days=tls.get("days", 30))
        record["tls"] = {"certificate": str(chain), "key": str(key)}
        if "other" in tls:
            record["tls"]["key"] = str(school.key)
    elif "read_only" in changes.get("database", {}):
        record["database"]["url"] += "?options=-c%20default_transaction_read_only%3Don"
    else:
        for section, keys in changes.items():
            record[section] |= keys
    record["server"]["state"] = str(tmp_path / "state")
    config = tmp_path / "uchuu.toml"
    config.touch(mode=0o600)
    config.write_text(toml(record))
    assert says in _refused("serve", "--check", "--config", str(config))


def test_the_demonstration_is_not_served_to_a_school(school: School) -> None:
    school.manage("teacher", "add", "marin", password=GOOD)
    try:
        said = _refused("serve", "--check", "--config", str(school.hosts[0].config))
        assert "made-up teachers can sign in here" in said
    finally:
        school.manage("teacher", "remove", "marin", typed="marin")
    assert "as they should be" in school.manage("serve", "--check")
