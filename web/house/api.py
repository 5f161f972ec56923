"""House rules: read and set."""

from typing import Literal

from api.auth import teacher_of
from django.http import HttpRequest
from ninja import Field, Router, Schema

from house.models import HouseRules
from house.queries import rules_of

router = Router()


class Rules(Schema):
    """The teacher's conventions."""

    juxtaposition: Literal["equal", "tighter"]
    decimal: Literal["point", "comma"] = "point"
    density: Literal["fine", "board", "key"]
    radicals: Literal["any", "non-negative"]
    methods: list[str] = Field(default=[], max_length=20)
    """The methods taught: taken before others where they apply."""


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
