"""House rules: read and set."""

from dataclasses import asdict
from typing import Any

from api.auth import teacher_of
from django.http import HttpRequest
from ninja import Field, Router, Schema
from uchuu_core.contract import (
    Checks,
    Density,
    Domains,
    Fractions,
    NoRealRoot,
    Numerators,
    PlusMinus,
    Powers,
    Radicals,
    Task,
)
from uchuu_core.lawbook.spelling import Removing, Spelling, Undoing
from uchuu_core.methods.conventions import CONVENTIONS
from uchuu_core.methods.schools import SCHOOLS
from uchuu_core.notation.brackets import Juxtaposition
from uchuu_core.notation.tokens import Decimal

from house.models import HouseRules
from house.queries import rules_of

router = Router()


class Rules(Schema):
    """The teacher's conventions, as ``House`` of the core has them."""

    juxtaposition: Juxtaposition = "equal"
    decimal: Decimal = "point"
    density: Density = "board"
    radicals: Radicals = "any"
    spelling: Spelling = "us"
    methods: list[str] = Field(default=[], max_length=20)
    """The methods taught: taken before others where they apply."""
    no_real_root: NoRealRoot = "no-solution"
    plus_minus: PlusMinus = "written-out"
    fractions: Fractions = "improper"
    numerators: Numerators = "expanded"
    domains: Domains = "except"
    powers: Powers = "worked-out"
    removing: Removing = "divide-out"
    undoing: Undoing = "inverse"
    checks: Checks = "every"


class ConventionOut(Schema):
    """A question of the house; a problem that shows the choice, or a sentence for each choice."""

    key: str
    choices: list[str]
    task: Task | None
    given: str
    says: list[str]


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


@router.get("/conventions", response=list[ConventionOut])
def conventions(request: HttpRequest) -> list[dict[str, Any]]:
    """Return the conventions among which a teacher chooses."""
    return [asdict(convention) for convention in CONVENTIONS]


@router.get("", response=Rules)
def current(request: HttpRequest) -> dict[str, Any]:
    """Return the rules in force."""
    return rules_of(teacher_of(request)).for_core()


@router.put("", response=Rules)
def change(request: HttpRequest, body: Rules) -> dict[str, Any]:
    """Set the rules."""
    rules, _ = HouseRules.objects.update_or_create(
        teacher=teacher_of(request), defaults={"rules": body.dict()}
    )
    return rules.for_core()
