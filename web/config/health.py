"""Whether the server lives, and whether it can do its work: asked by whoever watches it, signed in or not."""

from algebra import pool
from api.failures import Refused
from api.figures import text
from api.proxies import WAS_FORWARDED
from django.conf import settings
from django.contrib.sessions.models import Session
from django.db import DatabaseError, connection
from django.db.migrations.executor import MigrationExecutor
from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from django.utils.crypto import constant_time_compare
from jobs.models import OPEN, Job
from ninja import Router, Schema, Status
from uchuu_core.failures import Failure

router = Router()


class Health(Schema):
    """``installation``: which one answers; ``version``: of the application."""

    installation: str
    version: str


class Readiness(Health):
    """What of the server's work can be done now.

    ``migrations``: the database is as this version needs it; ``jobs``: some worker does long work (typing does
    without); ``draining``: this host stops soon.
    """

    ready: bool
    database: bool
    migrations: bool
    algebra: bool
    jobs: bool
    draining: bool


@router.get("", response=Health, auth=None)
def live(request: HttpRequest) -> Health:
    """Answer: this process lives."""
    return Health(installation=settings.INSTALLATION, version=settings.VERSION)


@router.get("/ready", response={200: Readiness, 503: Readiness}, auth=None)
def ready(request: HttpRequest) -> Status[Readiness]:
    """Say whether database and algebra answer."""
    database = _database_answers()
    migrations, jobs = (_is_migrated(), _workers() > 0) if database else (False, False)
    algebra, draining = _algebra_answers(), (settings.STATE / "draining").exists()
    told = Readiness(
        installation=settings.INSTALLATION,
        version=settings.VERSION,
        ready=database and migrations and algebra and not draining,
        database=database,
        migrations=migrations,
        algebra=algebra,
        jobs=jobs,
        draining=draining,
    )
    return Status(200 if told.ready else 503, told)


@router.get("/figures", auth=None)
def figures(request: HttpRequest) -> HttpResponse:
    """Return figures in Prometheus' text format: with the token, or to this machine itself."""
    if not _may_watch(request):
        raise Refused(403, "not-yours", "Figures are for whoever keeps this server.")
    now = {
        "uchuu_jobs_waiting": ("Jobs that wait or run", Job.objects.filter(state__in=OPEN).count()),
        "uchuu_job_workers": ("Workers for long work that are alive", _workers()),
        "uchuu_sessions": (
            "Sessions that have not ended",
            Session.objects.filter(expire_date__gt=timezone.now()).count(),
        ),
    }
    return HttpResponse(text(now), content_type="text/plain; version=0.0.4; charset=utf-8")


def _may_watch(request: HttpRequest) -> bool:
    token = settings.METRICS_TOKEN
    if token:
        given = request.headers.get("Authorization", "").removeprefix("Bearer ")
        return constant_time_compare(given, token)
    is_here = request.META.get("REMOTE_ADDR") in ("127.0.0.1", "::1")
    return is_here and WAS_FORWARDED not in request.META


_migrated = False


def _is_migrated() -> bool:
    """Return whether nothing is left to migrate; once it is so, it stays so."""
    global _migrated
    if not _migrated:
        plan = MigrationExecutor(connection)
        _migrated = not plan.migration_plan(plan.loader.graph.leaf_nodes())
    return _migrated


def _workers() -> int:
    """Count the workers for long work that showed themselves within a minute, on any host."""
    with connection.cursor() as cursor:
        cursor.execute(
            "SELECT count(*) FROM procrastinate_workers"
            " WHERE last_heartbeat > now() - interval '1 minute'"
        )
        return int(cursor.fetchone()[0])


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
