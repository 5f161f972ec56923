"""Settings of a school's server; ``./uchuu serve`` reads the configuration and hands it on in the environment."""

import os

from psycopg.conninfo import conninfo_to_dict

from config.settings.base import *  # noqa: F403
from config.settings.base import CONNECTION, DATABASES, LOG, LOGGING


def _told(name: str) -> str:
    return os.environ[f"UCHUU_{name}"]


def _listed(name: str) -> list[str]:
    return [part for part in _told(name).split(",") if part]


AT_HOME = False
_hosts = _listed("SERVER_HOSTS")
_https = _told("SERVER_HTTPS") == "True"
_scheme = "https" if _https else "http"
_port = "" if _https else ":" + _told("SERVER_LISTEN").rpartition(":")[2]
_here = _told("SERVER_LISTEN").rpartition(":")[0]
ALLOWED_HOSTS = [*_hosts, _here, "127.0.0.1", "localhost", "[::1]"]
"""Its names, and where it listens: whoever watches it asks there."""
SITE = f"{_scheme}://{_hosts[0]}{_port}"
CSRF_TRUSTED_ORIGINS = [f"{_scheme}://{host}{_port}" for host in _hosts]
PROXIES = _listed("SERVER_PROXIES")
SECURE_PROXY_SSL_HEADER = ("HTTP_X_FORWARDED_PROTO", "https")
"""A proxy's word; a stranger's is taken away before (``BehindProxies``)."""
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = _https
SESSION_COOKIE_NAME, CSRF_COOKIE_NAME = (
    ("__Host-session", "__Host-csrftoken") if _https else ("session", "csrftoken")
)
SECURE_HSTS_SECONDS = 365 * 86_400 if _https else 0
SESSION_COOKIE_AGE = int(_told("RETENTION_SESSION_DAYS")) * 86_400
LEARN_AFTER = 60

_database = conninfo_to_dict(_told("DATABASE_URL"))
_PLAIN = {"dbname": "NAME", "user": "USER", "host": "HOST", "port": "PORT"}
DATABASES["default"] |= {django: _database.pop(name, "") for name, django in _PLAIN.items()}
DATABASES["default"] |= {
    "PASSWORD": os.environ.get("UCHUU_SECRET_DATABASE", ""),
    "OPTIONS": {**CONNECTION, **_database},
}

MAIL = _told("MAIL_SERVER")
if MAIL:
    EMAIL_HOST, _, _mail_port = MAIL.rpartition(":")
    EMAIL_PORT = int(_mail_port)
    EMAIL_USE_TLS = _told("MAIL_SECURITY") == "starttls"
    EMAIL_USE_SSL = _told("MAIL_SECURITY") == "tls"
    EMAIL_HOST_USER = _told("MAIL_USER")
    EMAIL_HOST_PASSWORD = os.environ.get("UCHUU_SECRET_MAIL", "")
    EMAIL_TIMEOUT = 10
    DEFAULT_FROM_EMAIL = _told("MAIL_SENDER")
SENDS_MAIL = bool(MAIL)

if _told("PROVIDER_ISSUER"):
    PROVIDER = {
        "issuer": _told("PROVIDER_ISSUER").rstrip("/"),
        "client": _told("PROVIDER_CLIENT"),
        "secret": os.environ.get("UCHUU_SECRET_PROVIDER", ""),
        "label": _told("PROVIDER_LABEL"),
        "makes_accounts": _told("PROVIDER_MAKES_ACCOUNTS"),
    }
DELETED_AFTER_DAYS = int(_told("RETENTION_DELETED_DAYS"))
AUDIT_KEPT_DAYS = int(_told("RETENTION_AUDIT_DAYS"))
METRICS_TOKEN = os.environ.get("UCHUU_SECRET_METRICS", "")
CERTIFICATE, CERTIFICATE_KEY = _told("TLS_CERTIFICATE"), _told("TLS_KEY")
HOSTS = _hosts

LOGGING["handlers"] = {
    "log": {
        # logrotate takes the file away: many processes write it
        "class": "logging.handlers.WatchedFileHandler",
        "filename": LOG,
        "encoding": "utf-8",
        "formatter": "line",
    }
    if LOG
    else {"class": "logging.StreamHandler", "formatter": "line"}
}
LOGGING["formatters"] = {
    "line": {
        "()": "pythonjsonlogger.json.JsonFormatter",
        "format": "{asctime} {levelname} {name} {message}",
        "style": "{",
    }
}
