"""Worked examples and their lines."""

from examples.models.example import Example, Snapshot
from examples.models.line import WrittenLine

__all__ = ["Example", "Snapshot", "WrittenLine"]
