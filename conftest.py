"""Settings of the property tests: the same cases every time, so that a run can be repeated."""

import os

from hypothesis import settings

settings.register_profile("steady", derandomize=True, deadline=None, database=None)
settings.register_profile("quick", settings.get_profile("steady"), max_examples=15)
settings.load_profile("quick" if os.environ.get("UCHUU_QUICK") else "steady")
