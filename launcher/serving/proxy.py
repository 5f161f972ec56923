"""The proxy's configuration, written for the names, addresses and certificates of one school."""

from pathlib import Path

from launcher.places import ROOT
from launcher.serving.configuration import Configuration, after
from launcher.steps import fail

TEMPLATE = ROOT / "deploy" / "nginx.conf.template"


def nginx(found: Configuration, peers: list[str] | None = None) -> str:
    """Return nginx's configuration for what it serves: TLS, one or more hosts behind it (*peers*).

    Raises:
        StepFailed: no certificate is named.
    """
    if not (found["tls.certificate"] and found["tls.key"]):
        fail(
            "write the proxy's configuration",
            "no certificate is named",
            "Set tls.certificate and tls.key: where they lie on the machine of the proxy.",
        )
    behind = peers or [found["server.listen"]]
    words = {
        "HOSTS": " ".join(found["server.hosts"]),
        "FIRST": found["server.hosts"][0],
        "PEERS": "\n".join(map(_server, behind)),
        "FOR_VERDICTS": "\n".join(_server(after(peer)) for peer in behind),
        "INSTEAD": "\n".join(_server(peer, " backup") for peer in behind),
        "CERTIFICATE": str(Path(found["tls.certificate"])),
        "KEY": str(Path(found["tls.key"])),
    }
    text = TEMPLATE.read_text("utf-8")
    for name, value in words.items():
        text = text.replace(f"@{name}@", value)
    return text


def _server(address: str, more: str = "") -> str:
    return f"    server {address} max_fails=1 fail_timeout=2s{more};"
