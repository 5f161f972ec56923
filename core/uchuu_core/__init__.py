"""The algebra of Uchuu: reading, judging, explaining and working lines of school algebra.

Nothing here knows of a database, a network or a screen. The operations of the contract are
``check``, ``work``, ``inspect``, ``study``, ``forks`` and ``twin``; further ones are ``nudge``, ``compare``,
``choices``, ``find_the_mistake``, ``fork_path``, ``screen``, ``tell``, ``climb``, ``family``, ``proof``,
``repeats``, ``facts`` and, for a teacher's
own errors, ``examine``. Most take a ``Problem`` and returns a record.
"""

from uchuu_core.checking.own_errors import examine
from uchuu_core.checking.paper import check
from uchuu_core.contract import OwnError, Problem, own_error_from, problem_from
from uchuu_core.failures import Failure
from uchuu_core.forking.choices import choices
from uchuu_core.forking.forks import forks
from uchuu_core.forking.uses import find_the_mistake, fork_path, screen
from uchuu_core.gathering.facts import facts
from uchuu_core.inspecting.problem import inspect
from uchuu_core.nudging.nudges import nudge
from uchuu_core.proofing.proof import proof, repeats
from uchuu_core.telling.tell import tell
from uchuu_core.twinning.asked import twin
from uchuu_core.twinning.climbs import climb
from uchuu_core.twinning.families import FAMILIES, family
from uchuu_core.working.comparison import compare
from uchuu_core.working.problem import study, work

__all__ = [
    "FAMILIES",
    "Failure",
    "OwnError",
    "Problem",
    "check",
    "choices",
    "climb",
    "compare",
    "examine",
    "facts",
    "family",
    "find_the_mistake",
    "fork_path",
    "forks",
    "inspect",
    "nudge",
    "own_error_from",
    "problem_from",
    "proof",
    "repeats",
    "screen",
    "study",
    "tell",
    "twin",
    "work",
]
