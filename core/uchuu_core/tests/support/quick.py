"""How many made-up cases a property is tried with: all in a full run, a few in a developer's loop."""

import os
from collections.abc import Sequence

from hypothesis import HealthCheck, settings

_FEW = 8 if os.environ.get("UCHUU_QUICK") else 1


def examples(many: int, suppress_health_check: Sequence[HealthCheck] = ()) -> settings:
    """Return the settings for a property tried with *many* examples, an eighth in a quick run.

    There is no limit on the time of one: a slow machine is no fault.
    """
    return settings(
        max_examples=max(many // _FEW, 5),
        deadline=None,
        suppress_health_check=suppress_health_check,
    )
