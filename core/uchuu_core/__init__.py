"""The algebra of Uchuu: reading, judging, explaining and working lines of school algebra.

Nothing here knows of a database, a network or a screen. The operations of the contract that are
built are ``check``, ``work``, ``inspect`` and ``study``, and two more, ``nudge`` and ``compare``; each takes a
``Problem`` and returns a record.
"""

from uchuu_core.checking.paper import check
from uchuu_core.contract import Problem, problem_from
from uchuu_core.failures import Failure
from uchuu_core.inspecting.problem import inspect
from uchuu_core.nudging.nudges import nudge
from uchuu_core.working.comparison import compare
from uchuu_core.working.problem import study, work

__all__ = [
    "Failure",
    "Problem",
    "check",
    "compare",
    "inspect",
    "nudge",
    "problem_from",
    "study",
    "work",
]
