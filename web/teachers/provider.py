"""Signing in with the school's own account: OpenID Connect, the code flow with PKCE, by Authlib.

What the provider says is believed only where it is signed with one of its keys, for us, for this attempt.
"""

import logging
from typing import Any

from authlib.common.errors import AuthlibBaseError
from authlib.integrations.django_client import OAuth
from django.conf import settings
from django.contrib.auth.models import User
from django.db import IntegrityError, transaction
from django.http import HttpRequest, HttpResponse, HttpResponseRedirect
from django.views.decorators.http import require_GET
from joserfc.errors import JoseError
from requests import RequestException

from teachers.audit import note
from teachers.guard import remember
from teachers.models import Person
from teachers.people import set_person
from teachers.sessions import begin as begin_session

log = logging.getLogger("uchuu.provider")
SIGNED_WITH = ["RS256", "ES256", "PS256"]
"""Ways to sign that are believed; never none, nor a secret that both sides know."""
_CONNECTS = "provider-connects"
_WISHES = "provider-wishes"


class Distrusted(Exception):
    """What the provider says cannot be believed, or fits nobody here; the code is for the page that says so."""


def _client() -> Any:
    asked = settings.PROVIDER
    client = OAuth().register(
        "school",
        client_id=asked["client"],
        client_secret=asked["secret"],
        server_metadata_url=f"{asked['issuer']}/.well-known/openid-configuration",
        client_kwargs={
            "scope": "openid email profile",
            "code_challenge_method": "S256",
            "default_timeout": 10,
        },
    )
    told = client.load_server_metadata()
    if str(told.get("issuer", "")).rstrip("/") != asked["issuer"]:
        raise Distrusted("provider-lies")
    told["id_token_signing_alg_values_supported"] = SIGNED_WITH
    return client


def wish_to_connect(request: HttpRequest) -> None:
    """Have the next way to the provider connect the school's account to that of whoever is signed in.

    Only a call with the token says so: a link on a stranger's page must not connect a stranger's account.
    """
    request.session[_WISHES] = request.user.pk


@require_GET
def begin(request: HttpRequest) -> HttpResponse:
    """Send the browser to the provider: to sign in, or to connect where that was wished for."""
    if not settings.PROVIDER:
        return _to("provider-none")
    wish = request.session.pop(_WISHES, None)
    if request.user.is_authenticated and request.user.pk != wish:
        return HttpResponseRedirect("/account")
    request.session[_CONNECTS] = wish
    try:
        answer: HttpResponse = _client().authorize_redirect(
            request, f"{settings.SITE}/provider/back"
        )
    except Distrusted as why:
        return _to(str(why))
    except (AuthlibBaseError, RequestException, ValueError, RuntimeError) as wrong:
        log.error("the provider could not be asked: %s", type(wrong).__name__)
        return _to("provider-away")
    return answer


@require_GET
def back(request: HttpRequest) -> HttpResponse:
    """Take the browser that comes back from the provider, and sign in or connect."""
    connects = request.session.pop(_CONNECTS, None)
    try:
        claims = _claims(request)
        teacher = _connected(request, claims, connects)
    except Distrusted as why:
        log.warning("a sign-in by the provider was refused: %s", why)
        return _to(str(why))
    except RequestException as wrong:
        log.error("the provider could not be asked: %s", type(wrong).__name__)
        return _to("provider-away")
    if connects is not None:
        return HttpResponseRedirect("/account?said=connected")
    begin_session(request, teacher, shared=False)
    answer = HttpResponseRedirect("/")
    remember(request, answer, teacher)
    return answer


def _claims(request: HttpRequest) -> dict[str, Any]:
    """Return what the provider says of who came back.

    Raises:
        Distrusted: it is not signed by it, not for us, not for this attempt, too old; or they declined.
    """
    if not settings.PROVIDER:
        raise Distrusted("provider-none")
    try:
        token = _client().authorize_access_token(request)
    except (AuthlibBaseError, JoseError) as wrong:
        declined = getattr(wrong, "error", "") == "access_denied"
        raise Distrusted("provider-declined" if declined else "provider-lies") from None
    except RequestException:
        raise
    except (ValueError, KeyError, TypeError, RuntimeError) as wrong:
        log.warning("what the provider said is not understood: %s", type(wrong).__name__)
        raise Distrusted("provider-lies") from None
    claims = dict(token.get("userinfo") or {})
    if not isinstance(claims.get("sub"), str) or not 0 < len(claims["sub"]) <= 255:
        raise Distrusted("provider-lies")
    return claims


def _connected(request: HttpRequest, claims: dict[str, Any], connects: int | None) -> User:
    """Return whose account it is; connected now where somebody signed in asked for it.

    Raises:
        Distrusted: nobody's, or another teacher's; or whose may not sign in.
    """
    subject = f"{settings.PROVIDER['issuer']} {claims['sub']}"
    known = Person.objects.filter(subject=subject).select_related("teacher").first()
    if connects is not None:
        if not request.user.is_authenticated or request.user.pk != connects:
            raise Distrusted("provider-lies")  # another one signed in meanwhile
        if known is not None and known.teacher_id != connects:
            raise Distrusted("provider-taken")
        set_person(request.user, subject=subject)
        note(request.user, "The school's sign-in was connected.", request)
        return request.user
    if known is None and settings.PROVIDER.get("makes_accounts") == "True":
        known = _made(claims, subject)
    if known is None:
        raise Distrusted("provider-unknown")
    if not known.teacher.is_active:
        raise Distrusted("provider-locked")
    return known.teacher


@transaction.atomic
def _made(claims: dict[str, Any], subject: str) -> Person:
    """Make an account for who is new here, under the name that the provider gives, or one like it."""
    wished = str(claims.get("preferred_username") or claims.get("name") or "teacher")[:140]
    plain = "".join(sign for sign in wished if sign.isalnum() or sign in "@.+-_") or "teacher"
    for number in range(1, 100):
        name = plain if number == 1 else f"{plain}-{number}"
        if User.objects.filter(username__iexact=name).exists():
            continue
        teacher = User(username=name)
        teacher.set_unusable_password()
        teacher.save()
        try:
            person = Person.objects.create(teacher=teacher, subject=subject)
        except IntegrityError:
            raise Distrusted("provider-taken") from None
        note(teacher, "The account was made at the first sign-in with the school's account.")
        return person
    raise Distrusted("provider-taken")


def _to(code: str) -> HttpResponse:
    return HttpResponseRedirect(f"/?said={code}")
