"""What may be chosen as taught is built, and decides how the problem beside it is worked."""

import pytest

from uchuu_core import problem_from, work
from uchuu_core.methods.schools import SCHOOLS, School, _school


@pytest.mark.parametrize("school", SCHOOLS, ids=lambda school: school.key)
def test_each_way_works_the_problem_of_its_school(school: School) -> None:
    ways = set()
    for method in school.methods:
        house = {"methods": [method]}
        found = work(problem_from({"task": school.task, "given": school.given, "house": house}))
        assert found["method"] == method
        ways.add(tuple(line["text"] for line in found["lines"]))

    assert len(ways) == len(school.methods)


def test_a_way_that_is_not_built_is_not_offered() -> None:
    with pytest.raises(LookupError, match="by-guessing"):
        _school("fractions", "solve", "x/2 = 3", "by-guessing")
