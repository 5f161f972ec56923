"""Setting up: the demo only where nobody is yet, nobody comes back, what is old goes."""

from datetime import timedelta
from io import StringIO

import pytest
from algebra.models import Known
from django.contrib.auth.models import User
from django.core.management import call_command
from django.utils import timezone
from examples.models import Example

pytestmark = pytest.mark.django_db


def _set_up(*words: str) -> str:
    out = StringIO()
    call_command("set_up", *words, stdout=out)
    return out.getvalue()


def test_the_demo_comes_once_and_who_was_deleted_stays_away() -> None:
    assert "The demo teachers" in _set_up()
    User.objects.get(username="okafor").delete()
    Example.objects.filter(teacher__username="marin").delete()

    _set_up()

    assert list(User.objects.values_list("username", flat=True)) == ["marin"]
    assert not Example.objects.exists()
    User.objects.all().delete()
    User.objects.create_user("sund")
    assert "The demo teachers" not in _set_up()
    assert list(User.objects.values_list("username", flat=True)) == ["sund"]


def test_an_own_installation_starts_empty() -> None:
    assert "Nobody can sign in" in _set_up("--own")
    assert not User.objects.exists()


def test_answers_of_long_ago_are_forgotten() -> None:
    for digest in ("old", "new"):
        Known.objects.create(digest=digest, answer={})
    Known.objects.filter(digest="old").update(made=timezone.now() - timedelta(days=400))

    _set_up("--own")

    assert list(Known.objects.values_list("digest", flat=True)) == ["new"]
