"""A school's server as its keeper would run it: two hosts, one database, a proxy that speaks TLS, mail, a sign-in.

Everything is real but the school: nginx, gunicorn, PostgreSQL; the certificate is signed by a made-up authority.
"""

import contextlib
import json
import os
import secrets
import shutil
import signal
import socket
import ssl
import subprocess
import sys
import threading
import time
import urllib.request
from collections.abc import Sequence
from datetime import UTC, datetime, timedelta
from http.client import HTTPSConnection
from pathlib import Path
from typing import Any

from cryptography import x509
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import NameOID

from launcher import install
from launcher.checks import TEST_CLUSTER
from launcher.places import ROOT
from launcher.postgres import free_port
from launcher.serving.configuration import read
from launcher.serving.host import Host
from launcher.serving.proxy import nginx
from standins.mailbox import Mailbox
from standins.provider import CLIENT, SECRET, Provider

NAME = "algebra.school.example"
ADDRESS = "127.0.0.7"
"""Where the proxy listens: loopback, and nobody else's."""
DATABASE = "uchuu_school"
_DAY = timedelta(days=1)


def authority() -> tuple[x509.Certificate, ec.EllipticCurvePrivateKey]:
    """Return a made-up certificate authority and its key."""
    key = ec.generate_private_key(ec.SECP256R1())
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "A made-up authority")])
    now = datetime.now(UTC)
    made = (
        x509.CertificateBuilder()
        .subject_name(name)
        .issuer_name(name)
        .public_key(key.public_key())
        .serial_number(x509.random_serial_number())
        .not_valid_before(now - _DAY)
        .not_valid_after(now + 30 * _DAY)
        .add_extension(x509.BasicConstraints(ca=True, path_length=0), critical=True)
        .sign(key, hashes.SHA256())
    )
    return made, key


def certificate(folder: Path, names: list[str], *, days: int = 30) -> tuple[Path, Path, Path]:
    """Write a certificate for *names*, its key, and the authority that signed it; good for so many *days*."""
    issuer, issuer_key = authority()
    key = ec.generate_private_key(ec.SECP256R1())
    now = datetime.now(UTC)
    made = (
        x509.CertificateBuilder()
        .subject_name(x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, names[0])]))
        .issuer_name(issuer.subject)
        .public_key(key.public_key())
        .serial_number(x509.random_serial_number())
        .not_valid_before(now - 60 * _DAY)
        .not_valid_after(now + days * _DAY)
        .add_extension(
            x509.SubjectAlternativeName([x509.DNSName(n) for n in names]), critical=False
        )
        .sign(issuer_key, hashes.SHA256())
    )
    pem = serialization.Encoding.PEM
    plain = serialization.PrivateFormat.PKCS8, serialization.NoEncryption()
    places = folder / "chain.pem", folder / "key.pem", folder / "authority.pem"
    contents = made.public_bytes(pem), key.private_bytes(pem, *plain), issuer.public_bytes(pem)
    for place, content in zip(places, contents, strict=True):
        place.touch(mode=0o600)
        place.write_bytes(content)
    return places


class HostProcess:
    """One host: ``./uchuu serve``, as a service would run it."""

    def __init__(self, config: Path, address: str, state: Path, before: Sequence[str] = ()) -> None:
        self.config, self.address, self.state = config, address, state
        self._before = before
        """What its command begins with: a network namespace, for instance."""
        self._process: subprocess.Popen[bytes] | None = None

    @property
    def output(self) -> Path:
        """Return the file with what it says."""
        return self.state / "serve.out"

    def begin(self) -> None:
        """Start it; ``wait`` before it is used."""
        self.state.mkdir(exist_ok=True)
        with open(self.output, "ab") as file:
            self._process = subprocess.Popen(
                [*self._before, sys.executable, ROOT / "uchuu", "serve", "--config", self.config],
                stdout=file,
                stderr=file,
                stdin=subprocess.DEVNULL,
            )

    def ready(self) -> dict[str, Any] | None:
        """Return what it says of itself; None where it does not answer."""
        with contextlib.suppress(OSError, ValueError):
            try:
                with urllib.request.urlopen(
                    f"http://{self.address}/api/health/ready", timeout=5
                ) as reply:
                    return dict(json.loads(reply.read()))
            except urllib.error.HTTPError as unwell:
                with unwell:
                    return dict(json.loads(unwell.read()))
        return None

    def wait(self) -> None:
        """Wait until it can do its work."""
        while not (self.ready() or {}).get("ready"):
            assert self._process is not None
            if self._process.poll() is not None:
                raise AssertionError(self.output.read_text()[-3000:])
            time.sleep(0.1)

    def parts(self) -> dict[str, int]:
        """Return its processes by name, as it noted them."""
        notes = self.state / "processes"
        return {note.name: int(note.read_text()) for note in notes.iterdir()}

    def kill(self, part: str) -> None:
        """End one of its processes at once, with all that it started."""
        for name, process in self.parts().items():
            if name.startswith(part):
                with contextlib.suppress(ProcessLookupError):
                    os.killpg(process, signal.SIGKILL)

    def stop(self) -> None:
        """End it as a service does, and wait until it has."""
        if self._process is not None:
            self._process.terminate()
            self._process.wait(90)
            self._process = None


class School:
    """Everything; ``begin`` before it is used, ``end`` afterwards."""

    def __init__(self, folder: Path, hosts: int = 2, **settings: dict[str, Any]) -> None:
        self.folder = folder
        self.chain, self.key, self.authority = certificate(folder, [NAME])
        self.mailbox = Mailbox(folder / "mail", free_port())
        self.provider = Provider(0)
        self.hosts = [self._host(number, settings) for number in range(1, hosts + 1)]
        self._proxy: subprocess.Popen[bytes] | None = None

    def _host(self, number: int, settings: dict[str, dict[str, Any]]) -> HostProcess:
        address, before = self.place(number)
        state = self.folder / f"host{number}"
        words = {
            "secret": self._kept("secret", secrets.token_urlsafe(50)),
            "database-password": self._kept("database-password", _password()),
            "provider-secret": self._kept("provider-secret", SECRET),
            "token": self._kept("token", "a token for whoever watches"),
        }
        record: dict[str, dict[str, Any]] = {
            "server": {
                "hosts": [NAME],
                "listen": address,
                "secret_file": words["secret"],
                "state": str(state),
                "name": f"host{number}",
                "drain_seconds": 1,
            },
            "database": {
                "url": f"postgresql://uchuu@127.0.0.1:{TEST_CLUSTER.port}/{DATABASE}",
                "password_file": words["database-password"],
            },
            "workers": {"algebra": 2, "jobs": 1},
            "mail": {
                "server": f"127.0.0.1:{self.mailbox.port}",
                "security": "none",
                "sender": "uchuu@school.example",
            },
            "provider": {
                "issuer": self.provider.issuer,
                "client": CLIENT,
                "secret_file": words["provider-secret"],
            },
            "tls": {"certificate": str(self.chain), "key": str(self.key)},
            "metrics": {"token_file": words["token"]},
        }
        for section, keys in settings.items():
            record[section] |= keys
        place = self.folder / f"host{number}.toml"
        place.touch(mode=0o600)
        place.write_text(toml(record))
        return HostProcess(place, address, state, before)

    def place(self, _number: int) -> tuple[str, Sequence[str]]:
        """Return where a host listens, and what its command begins with."""
        return f"127.0.0.1:{_free_pair()}", ()

    def _kept(self, name: str, content: str) -> str:
        place = self.folder / name
        if not place.exists():
            place.touch(mode=0o600)
            place.write_text(content)
        return str(place)

    def begin(self) -> None:
        """Start everything on an empty database, and wait."""
        TEST_CLUSTER.start()
        TEST_CLUSTER.client("dropdb", "--if-exists", "--force", DATABASE)
        TEST_CLUSTER.create_database(DATABASE)
        self.mailbox.begin()
        threading.Thread(target=self.provider.serve_forever, daemon=True).start()
        for host in self.hosts:  # at once: of several that start, one migrates
            host.begin()
        for host in self.hosts:
            host.wait()
        self.begin_proxy()

    def begin_proxy(self) -> None:
        """Start nginx with the configuration that ships, on an address of its own."""
        install.debian("nginx", "nginx-light", _nginx())
        found = read(self.hosts[0].config, {})
        text = nginx(found, [host.address for host in self.hosts])
        for port in ("80", "443"):
            text = text.replace(f"    listen [::]:{port}", "    # listen [::]:" + port)
            text = text.replace(f"    listen {port}", f"    listen {ADDRESS}:{port}")
        whole = self.folder / "nginx.conf"
        whole.write_text(
            f"daemon off; pid {self.folder}/nginx.pid; error_log {self.folder}/nginx.log;\n"
            "worker_processes 1; events { worker_connections 4096; }\nhttp { access_log off;\n"
            f"client_body_temp_path {self.folder}/body; proxy_temp_path {self.folder}/proxy;\n"
            f"fastcgi_temp_path {self.folder}/f; uwsgi_temp_path {self.folder}/u;"
            f" scgi_temp_path {self.folder}/s;\n{text}}}\n"
        )
        self._proxy = subprocess.Popen(
            [str(_nginx()), "-p", self.folder, "-c", whole], start_new_session=True
        )
        for _ in range(200):
            with contextlib.suppress(OSError):
                if self.call("GET", "/")[0] == 200:
                    return
            time.sleep(0.05)
        raise AssertionError((self.folder / "nginx.log").read_text()[-2000:])

    def trusted(self) -> ssl.SSLContext:
        """Return what trusts the made-up authority and nobody else."""
        return ssl.create_default_context(cafile=str(self.authority))

    def call(
        self, method: str, path: str, body: bytes | None = None, **headers: str
    ) -> tuple[int, dict[str, str], bytes]:
        """Make one call through the proxy; return status, headers and body."""
        connection = HTTPSConnection(ADDRESS, 443, context=named(self.trusted()), timeout=30)
        try:
            sent = {"Host": NAME, **{k.replace("_", "-"): v for k, v in headers.items()}}
            connection.request(method, path, body, sent)
            reply = connection.getresponse()
            return reply.status, dict(reply.getheaders()), reply.read()
        finally:
            connection.close()

    def manage(self, *words: str, password: str = "", typed: str = "") -> str:
        """Run ./uchuu with the first host's configuration; return what it says."""
        done = subprocess.run(
            [sys.executable, ROOT / "uchuu", *words, "--config", self.hosts[0].config],
            input=f"{password or typed}\n",
            capture_output=True,
            text=True,
            check=False,
        )
        assert done.returncode == 0, done.stdout + done.stderr
        return done.stdout

    def django(self, *words: str) -> str:
        """Run one of Django's commands against the school's database."""
        found = read(self.hosts[0].config, {})
        return Host(found).manage(*words, advice="See above.")

    def end(self) -> None:
        """Stop everything."""
        if self._proxy is not None:
            self._proxy.terminate()
            self._proxy.wait(10)
        for host in self.hosts:
            host.stop()
        self.provider.shutdown()
        self.provider.server_close()
        self.mailbox.end()


_given: set[int] = set()


def _free_pair() -> int:
    """Return a loopback port where the next one is free, too, and was not given to another host."""
    while True:
        port = free_port()
        with contextlib.closing(socket.socket()) as beside, contextlib.suppress(OSError):
            beside.bind(("127.0.0.1", port + 1))
            if not _given & {port, port + 1}:
                _given.update((port, port + 1))
                return port


def toml(record: dict[str, dict[str, Any]]) -> str:
    """Return the record as a configuration file: JSON's texts, numbers and lists are TOML's too."""
    return "".join(
        f"[{section}]\n" + "".join(f"{key} = {json.dumps(what)}\n" for key, what in keys.items())
        for section, keys in record.items()
    )


def _password() -> str:
    return TEST_CLUSTER.environment()["UCHUU_DB_PASSWORD"]


def _nginx() -> Path | None:
    place = shutil.which("nginx") or "/usr/sbin/nginx"
    return Path(place) if Path(place).exists() else None


def named(context: ssl.SSLContext) -> ssl.SSLContext:
    """Have connections to the address ask for the school's name, as a browser that looked it up."""
    wrap = context.wrap_socket

    def named(sock: Any, *args: Any, **more: Any) -> Any:
        return wrap(sock, *args, **{**more, "server_hostname": NAME})

    context.wrap_socket = named  # type: ignore[method-assign]
    return context
