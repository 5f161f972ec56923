"""Settings of the property tests: the same cases every time, so that a run can be repeated."""

from hypothesis import settings

settings.register_profile("steady", derandomize=True, deadline=None, database=None)
settings.load_profile("steady")
