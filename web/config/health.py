"""Whether the server lives, and whether it can do its work: asked by whoever watches it, signed in or not."""

from algebra import pool
from django.conf import settings
from django.db import DatabaseError, connection
from django.http import HttpRequest
from ninja import Router, Schema, Status
from uchuu_core.failures import Failure

router = Router()


class Health(Schema):
    """``installation``: which one answers; ``version``: of the application."""

    installation: str
    version: str


class Readiness(Health):
    """What of the server's work can be done now."""

    ready: bool
    database: bool
    algebra: bool


@router.get("", response=Health, auth=None)
def live(request: HttpRequest) -> Health:
    """Answer: this process lives."""
    return Health(installation=settings.INSTALLATION, version=settings.VERSION)


@router.get("/ready", response={200: Readiness, 503: Readiness}, auth=None)
def ready(request: HttpRequest) -> Status[Readiness]:
    """Say whether database and algebra answer."""
    database, algebra = _database_answers(), _algebra_answers()
    told = Readiness(
        installation=settings.INSTALLATION,
        version=settings.VERSION,
        ready=database and algebra,
        database=database,
        algebra=algebra,
    )
    return Status(200 if told.ready else 503, told)


def _database_answers() -> bool:
    try:
        with connection.cursor() as cursor:
            cursor.execute("SELECT 1")
    except DatabaseError:
        return False
    return True


def _algebra_answers() -> bool:
    try:
        pool.run("read", {"text": "1"})
    except Failure:
        return False
    return True
