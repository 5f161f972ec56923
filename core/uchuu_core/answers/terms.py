"""The words that problems and answers are classed by."""

from typing import Literal

Task = Literal["evaluate", "simplify", "factor", "expand", "solve", "domain", "study"]
Verdict = Literal["ok", "may-add", "loses", "wrong", "unfinished", "unproved", "unreadable"]
Proof = Literal["exact", "refuted", "tested"]
Role = Literal["chain", "check", "side", "operation", "remark"]
"""Only lines of the chain are judged against one another."""
