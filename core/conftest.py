"""The quick run of a developer's loop: of tests with very many cases, some of each.

``UCHUU_QUICK=1`` keeps every thirtieth case of a test that has more than eight, and few made-up ones; the full run keeps all.
"""

import os
from collections import Counter

import pytest

MANY, KEPT = 8, 30


def pytest_collection_modifyitems(config: pytest.Config, items: list[pytest.Item]) -> None:
    if not os.environ.get("UCHUU_QUICK"):
        return
    cases = Counter(_test_of(item) for item in items)
    seen: Counter[str] = Counter()
    kept, left = [], []
    for item in items:
        test = _test_of(item)
        seen[test] += 1
        stays = cases[test] <= MANY or seen[test] % KEPT == 1
        (kept if stays else left).append(item)
    config.hook.pytest_deselected(items=left)
    items[:] = kept


def _test_of(item: pytest.Item) -> str:
    return item.nodeid.partition("[")[0]
