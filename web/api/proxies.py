"""Where a call comes from: a proxy's word is believed only of proxies that the configuration names."""

from collections.abc import Callable
from functools import lru_cache
from ipaddress import IPv4Network, IPv6Network, ip_address, ip_network

from django.conf import settings
from django.http import HttpRequest, HttpResponseBase

FORWARDED = ("HTTP_X_FORWARDED_FOR", "HTTP_X_FORWARDED_PROTO", "HTTP_X_FORWARDED_HOST")
WAS_FORWARDED = "uchuu.forwarded"
"""Set where a proxy passed the call on."""


class BehindProxies:
    """Puts the client's address where everything looks for it; what strangers claim of it is taken away."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponseBase]) -> None:
        self._get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponseBase:
        """Answer, knowing where the call comes from."""
        if settings.PROXIES:
            settle(request)
        return self._get_response(request)


def settle(request: HttpRequest) -> None:
    """Set ``REMOTE_ADDR`` to the last address in the chain that is no proxy of ours."""
    meta = request.META
    claimed = [part.strip() for part in meta.get("HTTP_X_FORWARDED_FOR", "").split(",")]
    if not _is_proxy(meta.get("REMOTE_ADDR", "")):
        for name in FORWARDED:
            meta.pop(name, None)
        return
    meta.pop("HTTP_X_FORWARDED_HOST", None)
    for address in reversed([part for part in claimed if part]):
        try:
            ip_address(address)
        except ValueError:
            break
        meta[WAS_FORWARDED] = True
        meta["REMOTE_ADDR"] = address
        if not _is_proxy(address):
            break


@lru_cache(maxsize=1)
def _networks(proxies: tuple[str, ...]) -> list[IPv4Network | IPv6Network]:
    return [ip_network(one, strict=False) for one in proxies]


def _is_proxy(address: str) -> bool:
    try:
        found = ip_address(address)
    except ValueError:
        return False
    return any(found in network for network in _networks(tuple(settings.PROXIES)))
