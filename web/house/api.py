"""House rules: read and set."""

from dataclasses import asdict
from typing import Any, Literal

from api.auth import teacher_of
from django.http import HttpRequest
from ninja import Field, Router, Schema
from uchuu_core.contract import Task
from uchuu_core.methods.schools import SCHOOLS

from house.models import HouseRules
from house.queries import rules_of

router = Router()


class Rules(Schema):
    """The teacher's conventions."""

    juxtaposition: Literal["equal", "tighter"]
    decimal: Literal["point", "comma"] = "point"
    density: Literal["fine", "board", "key"]
    radicals: Literal["any", "non-negative"]
    spelling: Literal["us", "uk"] = "us"
    methods: list[str] = Field(default=[], max_length=20)
    """The methods taught: taken before others where they apply."""


class SchoolOut(Schema):
    """A kind of problem that courses work differently; ``given`` shows each of its methods."""

    key: str
    task: Task
    given: str
    methods: list[str]


@router.get("/schools", response=list[SchoolOut])
def schools(request: HttpRequest) -> list[dict[str, Any]]:
    """Return the schools among which a teacher chooses."""
    return [asdict(school) for school in SCHOOLS]


@router.get("", response=Rules)
def current(request: HttpRequest) -> HouseRules:
    """Return the rules in force."""
    return rules_of(teacher_of(request))


@router.put("", response=Rules)
def change(request: HttpRequest, body: Rules) -> HouseRules:
    """Set the rules."""
    rules, _ = HouseRules.objects.update_or_create(
        teacher=teacher_of(request), defaults=body.dict()
    )
    return rules
