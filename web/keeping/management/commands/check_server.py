"""``check_server``: hold that a school's server can be run with the database and the certificate that it was told."""

import ipaddress
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Any

from cryptography import x509
from cryptography.hazmat.primitives.serialization import load_pem_private_key
from django.conf import settings
from django.core.management.base import BaseCommand, CommandError
from django.db import DatabaseError, connection
from teachers.accounts import has_demo

OLDEST_DATABASE = 14
MOST_SECONDS_APART = 30
SOON = timedelta(days=14)


class Command(BaseCommand):
    """``check_server``."""

    help = "Name what is missing or unsafe in database, clock and certificate."

    def handle(self, *args: Any, **options: Any) -> None:
        """Say what is there, or refuse with all faults at once."""
        faults = [*database_faults(), *certificate_faults()]
        if faults:
            raise CommandError("".join(f"\n    · {fault}" for fault in faults))
        self.stdout.write("Database, clock and certificate are as they should be.")


def database_faults() -> list[str]:
    """Return what keeps this server from using the database, each in a sentence."""
    try:
        connection.ensure_connection()
    except DatabaseError as wrong:
        return [f"database: it does not let us in: {str(wrong).strip().splitlines()[0]}"]
    with connection.cursor() as cursor:
        cursor.execute(
            "SELECT current_setting('server_version_num')::int / 10000,"
            " pg_is_in_recovery() OR current_setting('transaction_read_only') = 'on',"
            " has_schema_privilege(current_schema(), 'CREATE'), clock_timestamp(),"
            " EXISTS (SELECT 1 FROM pg_available_extensions WHERE name = 'pg_trgm'),"
            " EXISTS (SELECT 1 FROM pg_tables WHERE tablename = 'auth_user'),"
            " current_setting('max_connections')::int"
            " - current_setting('superuser_reserved_connections')::int"
        )
        version, is_read_only, may_create, clock, has_words, is_filled, lets_in = cursor.fetchone()
    faults = []
    if version < OLDEST_DATABASE:
        faults.append(f"database: it is PostgreSQL {version}; {OLDEST_DATABASE} or newer is needed")
    if is_read_only:
        faults.append("database: it can only be read (a standby?); name the one that is written to")
    if not may_create:
        faults.append(
            "database: this user may not make tables in it: GRANT CREATE ON SCHEMA public TO the user"
        )
    if not has_words:
        faults.append(
            "database: the extension pg_trgm is missing: apt-get install postgresql-contrib"
        )
    if lets_in < settings.MOST_CONNECTIONS:
        faults.append(
            f"database: it lets {lets_in} connections in, this host may ask for {settings.MOST_CONNECTIONS}"
            " (another host for as many): a larger max_connections there, or fewer workers.threads here"
        )
    apart = abs((clock - datetime.now(UTC)).total_seconds())
    if apart > MOST_SECONDS_APART:
        faults.append(
            f"clock: this machine and the database are {apart:.0f} seconds apart; links and second"
            " factors go by the clock: set both by a time server"
        )
    if is_filled and has_demo():
        faults.append(
            "accounts: the demonstration's made-up teachers can sign in here; remove them"
            " (./uchuu teacher remove marin, and okafor)"
        )
    return faults


def certificate_faults() -> list[str]:
    """Return what is wrong with the certificate that the proxy shows, where one is named."""
    named = settings.CERTIFICATE
    if not named:
        return []
    try:
        chain = x509.load_pem_x509_certificates(Path(named).read_bytes())
        key = load_pem_private_key(Path(settings.CERTIFICATE_KEY).read_bytes(), None)
    except (OSError, ValueError, TypeError) as wrong:
        return [f"tls: certificate or key cannot be read: {wrong}"]
    first, now = chain[0], datetime.now(UTC)
    faults = []
    if first.public_key() != key.public_key():
        faults.append("tls.key: it is not the key of the certificate")
    if Path(settings.CERTIFICATE_KEY).stat().st_mode & 0o007:
        faults.append(f"tls.key: everybody may read it: chmod o= {settings.CERTIFICATE_KEY}")
    if not first.not_valid_before_utc <= now <= first.not_valid_after_utc:
        faults.append(
            f"tls.certificate: it is good from {first.not_valid_before_utc:%Y-%m-%d}"
            f" to {first.not_valid_after_utc:%Y-%m-%d}, and not now"
        )
    elif first.not_valid_after_utc - now < SOON:
        faults.append(
            f"tls.certificate: it ends on {first.not_valid_after_utc:%Y-%m-%d}; renew it first"
        )
    try:
        names = first.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
        known = {*names.get_values_for_type(x509.DNSName)}
        known |= {str(one) for one in names.get_values_for_type(x509.IPAddress)}
    except x509.ExtensionNotFound:
        known = set()
    faults += [
        f"tls.certificate: it is not for “{host}” but for {', '.join(sorted(known)) or 'nobody'}"
        for host in settings.HOSTS
        if not _covers(known, host)
    ]
    return faults


def _covers(known: set[str], host: str) -> bool:
    """Return whether a name among *known* is *host*, or a star in the place of its first part."""
    try:
        return str(ipaddress.ip_address(host.strip("[]"))) in known
    except ValueError:
        pass
    _, _, rest = host.partition(".")
    return host in known or (bool(rest) and f"*.{rest}" in known)
