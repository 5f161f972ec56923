"""Addresses: the API, and for everything else the one page of the application."""

from api.entrance import record
from django.conf import settings
from django.http import Http404, HttpRequest, HttpResponse
from django.urls import path, re_path
from django.views.decorators.csrf import ensure_csrf_cookie
from django.views.decorators.http import require_GET
from teachers import provider

from config.api import api


@require_GET
@ensure_csrf_cookie
def page(request: HttpRequest) -> HttpResponse:
    """Return the application's page; its scripts are served as static files."""
    index = settings.CLIENT / "index.html"
    if not index.exists():
        raise Http404("The front end is not built. Run ./uchuu start.")
    response = HttpResponse(index.read_bytes(), content_type="text/html; charset=utf-8")
    response["Cache-Control"] = "no-cache"
    return response


def nothing_here(_request: HttpRequest, **_rest: str) -> HttpResponse:
    """Refuse an address of the API that is none."""
    return record(404, "not-found", "There is nothing at this address.")


handler500 = "api.failures.broken"
urlpatterns = [
    path("api/", api.urls),
    re_path(r"^api/", nothing_here),
    path("provider/begin", provider.begin),
    path("provider/back", provider.back),
    re_path(r"^(?!api/|assets/).*$", page),
]
