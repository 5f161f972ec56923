"""Figures for whoever watches the server, in Prometheus' text format; nothing personal is in them."""

import os
from collections.abc import Mapping

from prometheus_client import REGISTRY as HERE
from prometheus_client import CollectorRegistry, Gauge, Histogram, generate_latest, multiprocess

CALLS = Histogram(
    "uchuu_call_seconds",
    "Seconds that calls of the API took",
    ["method", "route", "status"],
    buckets=(0.01, 0.03, 0.1, 0.3, 1, 3, 10),
)


def text(now: Mapping[str, tuple[str, float]]) -> bytes:
    """Return all figures of this host: of its processes together, and what *now* says (name: help, value)."""
    if os.environ.get("PROMETHEUS_MULTIPROC_DIR"):
        registry = CollectorRegistry()
        multiprocess.MultiProcessCollector(registry)  # type: ignore[no-untyped-call]
        told = generate_latest(registry)
    else:
        told = generate_latest(HERE)
    moment = CollectorRegistry()
    for name, (says, value) in now.items():
        Gauge(name, says, registry=moment).set(value)
    return bytes(told + generate_latest(moment))
