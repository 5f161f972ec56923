"""Lint, types, tests and benchmarks, as one command and in parts."""

import argparse
import os
import sys
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

from launcher import install
from launcher.places import CLIENT, CORE, PYTHON, ROOT, VENV, WEB
from launcher.postgres import Cluster
from launcher.steps import fail, run, say

TEST_CLUSTER = Cluster("test-postgres", durable=False)
PARTS = {
    "test": "lint types core web client browser",
    "bench": "core papers start marking log browser scale load",
}
BESIDES = {"test": "long", "bench": "school"}
"""Parts that run only when they are named."""
_BIN = VENV / "bin"


def _python_lint() -> None:
    advice = f"{_BIN}/ruff check --fix; ruff format"
    run("ruff", [_BIN / "ruff", "check"], cwd=ROOT, advice=advice, shown=True)
    run("ruff format", [_BIN / "ruff", "format", "--check"], cwd=ROOT, advice=advice, shown=True)
    paths = {"PYTHONPATH": f"{CORE}:{WEB}:{ROOT}"}
    run("import contracts", [_BIN / "lint-imports"], cwd=ROOT, env=paths, advice="Keep the layers.")


def _client_lint() -> None:
    advice = "npm run format"
    run("eslint and prettier", ["npm", "run", "-s", "lint"], cwd=CLIENT, advice=advice, shown=True)
    run("client layers", ["npm", "run", "-s", "layers"], cwd=CLIENT, advice="Keep the layers.")


def _python_types() -> None:
    run("mypy", [_BIN / "mypy"], cwd=ROOT, advice="Mend the types.", shown=True, env=_dummy())


def _client_types() -> None:
    run("vue-tsc", ["npm", "run", "-s", "types"], cwd=CLIENT, advice="Mend the types.", shown=True)


def _dummy() -> dict[str, str]:
    return {"UCHUU_STATE": str(TEST_CLUSTER.folder.parent)}


def _pytest(name: str, folder: str, *more: str) -> None:
    if folder != "core":
        TEST_CLUSTER.start()
        env = TEST_CLUSTER.environment()
    else:
        env = _dummy()
    command: list[str | Path] = [PYTHON, "-m", "pytest", folder, *more]
    run(name, command, cwd=ROOT, env=env, advice="Mend what the tests say.", shown=True)


def _long() -> None:
    """Run the random suites at full length, and kill the running application sixty times: half an hour."""
    os.environ.update({"UCHUU_PAIRS": "12000", "UCHUU_FUZZ": "100000", "UCHUU_WORKED": "400"})
    os.environ.update({"UCHUU_PLANTED": "4", "UCHUU_FORKED": "12", "UCHUU_TWINS": "25"})
    _pytest(
        "random pairs, equations, inputs, problems and twins",
        "core",
        "-k",
        "soundness or fuzz or test_problems or test_right_work or test_twins",
        "-n",
        "2",
    )
    os.environ.update({"UCHUU_CALLS": "60", "UCHUU_KILLS": "60"})
    _pytest("calls made up from the schema", "web/api/tests/test_made_up_calls.py", "-q")
    _pytest("sixty kills", "launcher/tests/test_coming_back.py", "-q")
    os.environ["UCHUU_KILLS"] = "100"
    _pytest("a hundred moments of marking", "web/papers/tests/test_kills.py", "-q")


def _client() -> None:
    run("client tests", ["npm", "run", "-s", "test"], cwd=CLIENT, advice="Mend it.", shown=True)


def _browser() -> None:
    os.environ["UCHUU_CHROMIUM"] = str(install.chromium())
    install.front_end()
    _pytest("browser tests", "e2e")


def _everything() -> dict[str, list[object]]:
    return {
        "lint": [_python_lint, _client_lint],
        "types": [_python_types, _client_types],
        "core": [lambda: _pytest("core tests", "core", "--doctest-modules", "-n", "2")],
        "web": [
            lambda: _pytest("server tests", "web", "-n", "2"),
            lambda: _pytest("launcher and tray tests", "launcher", "tray"),
        ],
        "client": [_client],
        "browser": [_browser],
        "long": [_long],
    }


def _chosen(options: argparse.Namespace, name: str) -> list[str]:
    known = f"{PARTS[name]} {BESIDES[name]}".split()
    unknown = [part for part in options.only if part not in known]
    if unknown:
        fail(f"read “{unknown[0]}”", "it is not a part", f"Parts are: {' '.join(known)}")
    return options.only or PARTS[name].split()


def test(options: argparse.Namespace) -> int:
    """Set up whatever the tests need and run everything: lint, types, core, server, client, browser."""
    parts = _chosen(options, "test")
    install.python_packages(for_tests=True)
    install.front_end(build=False)
    try:
        for part in parts:
            say(f"— {part}")
            for step in _everything()[part]:
                step()  # type: ignore[operator]
    finally:
        TEST_CLUSTER.stop()
    say("Everything holds.")
    return 0


def check(_options: argparse.Namespace) -> int:
    """Run the fast part of the tests, for a developer's loop: lint, types, and the core in samples."""
    install.python_packages(for_tests=True)
    install.front_end(build=False)
    both = ((_python_lint, _python_types), (_client_lint, _client_types))
    with ThreadPoolExecutor(len(both)) as side_by_side:
        list(side_by_side.map(lambda steps: [step() for step in steps], both))
    os.environ.update({"UCHUU_QUICK": "1", "UCHUU_PAIRS": "150", "UCHUU_FUZZ": "500"})
    _pytest("core tests", "core", "-m", "not slow", "-q", "-n", "2")
    say("The fast part holds.")
    return 0


def bench(options: argparse.Namespace) -> int:
    """Measure the core, a second start and the browser; print medians and ratios."""
    parts = _chosen(options, "bench")
    install.python_packages(for_tests=True)
    if "core" in parts:
        env = {"PYTHONPATH": f"{ROOT / 'core'}"}
        run("core", [PYTHON, ROOT / "bench" / "core.py"], env=env, advice="See above.", shown=True)
    if "papers" in parts:
        env = {"PYTHONPATH": f"{ROOT / 'core'}"}
        run(
            "papers",
            [PYTHON, ROOT / "bench" / "papers.py"],
            env=env,
            advice="See above.",
            shown=True,
        )
    if "start" in parts:
        run("start", [sys.executable, ROOT / "bench" / "start.py"], advice="See above.", shown=True)
    served = [
        part for part in ("marking", "log", "browser", "scale", "load", "school") if part in parts
    ]
    if served:
        os.environ["UCHUU_CHROMIUM"] = str(install.chromium())
        install.front_end()
        TEST_CLUSTER.start()
        try:
            env = {"PYTHONPATH": f"{ROOT}:{ROOT / 'e2e'}:{WEB}:{ROOT / 'core'}"}
            for part in served:
                # -P: modules of the browser tests are not those of the same name beside the benchmark
                command: list[str | Path] = [PYTHON, "-P", ROOT / "bench" / f"{part}.py"]
                run(part, command, env=env, advice="See above.", shown=True)
        finally:
            TEST_CLUSTER.stop()
    return 0
