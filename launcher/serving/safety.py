"""What a school's server refuses to start with: each a sentence that says what and what to do."""

import ipaddress
from collections.abc import Iterator
from urllib.parse import parse_qs, urlsplit

from launcher.serving.configuration import Configuration

SHORTEST_SECRET, FEWEST_SIGNS = 50, 16
ENCRYPTED = ("require", "verify-ca", "verify-full")
SECURITIES = ("starttls", "tls", "none")


def faults(found: Configuration) -> list[str]:
    """Return what of *found* is missing or unsafe."""
    checks = (_server, _secret, _database, _workers, _mail, _provider, _tls)
    return [fault for check in checks for fault in check(found)]


def is_loopback(host: str) -> bool:
    """Return whether *host* is this machine for sure."""
    if host == "localhost":
        return True
    try:
        return ipaddress.ip_address(host.strip("[]")).is_loopback
    except ValueError:
        return False


def _server(found: Configuration) -> Iterator[str]:
    hosts = found["server.hosts"]
    if not hosts:
        yield 'server.hosts: name at least one name, as in hosts = ["algebra.school.example"]'
    for host in hosts:
        if "*" in host or "/" in host or (":" in host.strip("[]") and not is_loopback(host)):
            yield f"server.hosts: “{host}” is no plain name; a star would let any site speak for yours"
    if not found["server.https"] and not all(map(is_loopback, hosts)):
        yield "server.https: without TLS passwords can be read on the way; false is for loopback only"
    try:
        address, port = found.address
        if not address or not 0 < port < 65535:
            raise ValueError
    except ValueError:
        yield "server.listen: address:port is expected, as in 127.0.0.1:8610; the next port is used, too"
        return
    proxies = found["server.proxies"]
    if not is_loopback(address) and all(map(is_loopback, proxies)):
        yield (
            f"server.proxies: it listens on {address}, where others reach it, and no proxy but this"
            " machine is named: name the proxy that ends TLS"
        )
    for proxy in proxies:
        try:
            if ipaddress.ip_network(proxy, strict=False).num_addresses > 2**16:
                yield f"server.proxies: “{proxy}” is too many: whoever is in it can pass for anybody"
        except ValueError:
            yield f"server.proxies: “{proxy}” is no address"
    if not found.state.is_absolute():
        yield "server.state: a folder from the root on is expected"


def _secret(found: Configuration) -> Iterator[str]:
    secret = found.secrets.get("server", "")
    how = "make one: python3 -c 'import secrets; print(secrets.token_urlsafe(50))'"
    if not secret:
        yield f"server.secret_file: there is no secret; {how}"
    elif len(secret) < SHORTEST_SECRET or len(set(secret)) < FEWEST_SIGNS:
        yield f"server.secret_file: the secret is short or can be guessed; {how}"


def _database(found: Configuration) -> Iterator[str]:
    url = found["database.url"]
    try:
        parts = urlsplit(url)
        port = parts.port
    except ValueError:
        yield "database.url: it is no address"
        return
    if parts.scheme not in ("postgresql", "postgres") or not parts.path.strip("/"):
        yield "database.url: postgresql://user@host:port/name is expected"
        return
    if parts.password:
        yield "database.url: a password stands in it; put it into a file: database.password_file"
    asked = parse_qs(parts.query)
    host = parts.hostname or asked.get("host", [""])[0]
    mode = asked.get("sslmode", ["prefer"])[0]
    if host and not host.startswith("/") and not is_loopback(host) and mode not in ENCRYPTED:
        yield (
            f"database.url: {host}{f':{port}' if port else ''} is another machine, and"
            f" sslmode={mode} may send everything in the clear: sslmode=verify-full"
        )


def _workers(found: Configuration) -> Iterator[str]:
    for key, least, most in (
        ("web", 1, 64),
        ("threads", 4, 400),
        ("algebra", 2, 64),
        ("jobs", 0, 64),
    ):
        if not least <= found[f"workers.{key}"] <= most:
            yield f"workers.{key}: from {least} to {most}"


def _mail(found: Configuration) -> Iterator[str]:
    server, security = found["mail.server"], found["mail.security"]
    if security not in SECURITIES:
        yield f"mail.security: one of {', '.join(SECURITIES)} is expected"
    if not server:
        return
    host, _, port = server.rpartition(":")
    if not host or not port.isdigit():
        yield "mail.server: host:port is expected, as in mail.school.example:587"
    elif security == "none" and not is_loopback(host):
        yield "mail.security: links that let somebody in would go in the clear: starttls or tls"
    if "@" not in found["mail.sender"]:
        yield "mail.sender: an address is expected, as in uchuu@school.example"


def _provider(found: Configuration) -> Iterator[str]:
    issuer = found["provider.issuer"]
    if not issuer:
        return
    parts = urlsplit(issuer)
    if parts.scheme != "https" and not is_loopback(parts.hostname or ""):
        yield "provider.issuer: an address that begins with https:// is expected"
    if not found["provider.client"] or not found.secrets.get("provider"):
        yield "provider.client, provider.secret_file: both come from whoever keeps the provider"


def _tls(found: Configuration) -> Iterator[str]:
    if bool(found["tls.certificate"]) != bool(found["tls.key"]):
        yield "tls.certificate, tls.key: one is of no use without the other"
