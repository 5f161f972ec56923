"""Worked examples and their lines."""

from examples.models.example import Example, Snapshot
from examples.models.facts import ExampleFacts
from examples.models.line import WrittenLine

__all__ = ["Example", "ExampleFacts", "Snapshot", "WrittenLine"]
