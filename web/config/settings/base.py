"""Settings of the running application. Everything that differs by machine comes from the environment.

``UCHUU_DATABASE_URL`` parts are set by the launcher; nothing here reaches another machine.
"""

import os
import secrets
from pathlib import Path

from csp.constants import NONE, SELF

ROOT = Path(__file__).resolve().parents[3]
STATE = Path(os.environ.get("UCHUU_STATE", ROOT / ".state"))


def _secret() -> str:
    """Return the secret key of this installation, made once and kept in the state folder."""
    place = STATE / "secret-key"
    kept = place.read_text(errors="replace").strip() if place.exists() else ""
    if len(kept) < 40:  # new, or a file that was emptied: sessions end, nothing else is lost
        STATE.mkdir(parents=True, exist_ok=True)
        kept = secrets.token_urlsafe(50)
        place.write_text(kept)
        place.chmod(0o600)
    return kept


SECRET_KEY = os.environ.get("UCHUU_SECRET_SERVER") or _secret()
DEBUG = False
ALLOWED_HOSTS = ["127.0.0.1", "localhost", "[::1]"]
ROOT_URLCONF = "config.urls"
WSGI_APPLICATION = "config.wsgi.application"
INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.sessions",
    "django.contrib.postgres",
    "axes",
    "csp",
    "django_otp",
    "django_otp.plugins.otp_totp",
    "django_otp.plugins.otp_static",
    "procrastinate.contrib.django",
    "teachers",
    "jobs",
    "algebra",
    "errors",
    "house",
    "filing",
    "examples.apps.ExamplesConfig",
    "sets.apps.SetsConfig",
    "proofs.apps.ProofsConfig",
    "classes",
    "lessons",
    "papers.apps.PapersConfig",
    "deliveries.apps.DeliveriesConfig",
    "scans.apps.ScansConfig",
    "log",
    "sharing",
    "keeping.apps.KeepingConfig",
    "config",
]
MIDDLEWARE = [
    "django.middleware.security.SecurityMiddleware",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "api.proxies.BehindProxies",
    "api.journal.Journal",
    "api.entrance.Entrance",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "teachers.sessions.SharedComputers",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
    "csp.middleware.CSPMiddleware",
    "axes.middleware.AxesMiddleware",
]
CONNECTION = {"connect_timeout": 3, "server_side_binding": True, "prepare_threshold": 3}
"""Of every connection: what is asked again and again is planned by PostgreSQL once."""
DATABASES = {
    "default": {
        "ENGINE": "api.database",
        "NAME": os.environ.get("UCHUU_DB_NAME", "uchuu"),
        "USER": os.environ.get("UCHUU_DB_USER", "uchuu"),
        "PASSWORD": os.environ.get("UCHUU_DB_PASSWORD", ""),
        "HOST": os.environ.get("UCHUU_DB_HOST", "127.0.0.1"),
        "PORT": os.environ.get("UCHUU_DB_PORT", "5432"),
        "CONN_MAX_AGE": 3600,  # a new one costs more than all else of a call; one that broke is seen
        "CONN_HEALTH_CHECKS": True,
        "OPTIONS": CONNECTION,
    }
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"
AUTHENTICATION_BACKENDS = [
    "axes.backends.AxesStandaloneBackend",
    "teachers.backend.KeptTeachers",
]
AUTH_PASSWORD_VALIDATORS = [
    {
        "NAME": "django.contrib.auth.password_validation.MinimumLengthValidator",
        "OPTIONS": {"min_length": 10},
    },
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
]
PASSWORD_HASHERS = ["django.contrib.auth.hashers.Argon2PasswordHasher"]
AXES_FAILURE_LIMIT = 5
AXES_COOLOFF_TIME = 0.25
AXES_LOCKOUT_PARAMETERS = [["username", "ip_address"]]
AXES_VERBOSE = False
AXES_LOCKOUT_CALLABLE = "teachers.endpoints.session.locked_out"
AXES_RESET_ON_SUCCESS = True
AXES_CLIENT_IP_CALLABLE = "teachers.guard.where"
OTP_TOTP_ISSUER = "Uchuu"
PASSWORD_RESET_TIMEOUT = 60 * 60
"""Seconds that a link for a new password is good for."""

USE_TZ = True
TIME_ZONE = "UTC"
LANGUAGE_CODE = "en"
USE_I18N = False

CACHES = {
    "default": {
        "BACKEND": "django.core.cache.backends.locmem.LocMemCache",
        # three values of each teacher of a district; fewer, and they would push each other out
        "OPTIONS": {"MAX_ENTRIES": 30_000},
    }
}
LEARN_AFTER = 4
"""Seconds: whoever types saves often, and lists learn of it once, so much later."""
SESSION_ENGINE = "teachers.session_store"
TRAY_URL = os.environ.get("UCHUU_TRAY", "")
"""Where the tray answers; empty where none runs."""
SITE = "http://127.0.0.1:8600"
"""The address that links begin with."""
SENDS_MAIL = False
PROXIES: list[str] = []
"""Addresses whose word is believed of where a call comes from."""
PROVIDER: dict[str, str] = {}
"""The school's own sign-in (OpenID Connect): issuer, client, secret, label; empty where there is none."""
DELETED_AFTER_DAYS = 14
AUDIT_KEPT_DAYS = 730
METRICS_TOKEN = ""
HOSTS: list[str] = []
CERTIFICATE = ""
CERTIFICATE_KEY = ""
"""Of the proxy, where one is there: looked at before serving."""
AT_HOME = True
"""An installation of one teacher: whoever sits at it may make the first account on its first page."""
SESSION_COOKIE_HTTPONLY = True
SESSION_COOKIE_SAMESITE = "Lax"
SESSION_COOKIE_AGE = 60 * 60 * 24 * 14
CSRF_COOKIE_SAMESITE = "Lax"
X_FRAME_OPTIONS = "DENY"
DATA_UPLOAD_MAX_MEMORY_SIZE = 2_000_000
CONTENT_SECURITY_POLICY = {
    "DIRECTIVES": {
        "default-src": [SELF],
        "object-src": [NONE],
        "base-uri": [SELF],
        "frame-ancestors": [NONE],
        "form-action": [SELF],
        # KaTeX places glyphs with style attributes; it has no other way.
        "style-src-attr": ["'unsafe-inline'"],
        "style-src": [SELF],
        "img-src": [SELF, "data:"],
    }
}

CLIENT = ROOT / "client" / "dist"
STATIC_URL = "/static/"
WHITENOISE_ROOT = CLIENT if CLIENT.exists() else None
WHITENOISE_INDEX_FILE = False


def _is_hashed(path: str, url: str) -> bool:
    return url.startswith("/assets/")


WHITENOISE_IMMUTABLE_FILE_TEST = _is_hashed

LOG = os.environ.get("UCHUU_LOG", "")
"""The file that is written to, with three older ones beside it; without one, the console."""
LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "formatters": {"line": {"format": "{asctime} {levelname} {name}: {message}", "style": "{"}},
    "handlers": {
        "log": {
            "class": "logging.handlers.RotatingFileHandler",
            "filename": LOG,
            "maxBytes": 2_000_000,
            "backupCount": 3,
            "encoding": "utf-8",
            "formatter": "line",
        }
        if LOG
        else {"class": "logging.StreamHandler", "formatter": "line"}
    },
    "root": {"handlers": ["log"], "level": "WARNING"},
    "loggers": {
        "uchuu": {"level": "INFO" if LOG else "WARNING"},
        "django.request": {"level": "ERROR"},  # what was refused has its line already
    },
}
VERSION = "0.18"
INSTALLATION = os.environ.get("UCHUU_INSTALLATION", "")
"""Which installation answers: whoever started it asks for it by this mark."""

MOST_CONNECTIONS = int(os.environ.get("UCHUU_MOST_CONNECTIONS", "0"))
"""That all processes of this host may ask the database for; 0: nobody counted."""
ALGEBRA_WORKERS = int(os.environ.get("UCHUU_ALGEBRA_WORKERS", "3"))
"""One more than the cores that long operations may fill: it is left to those who type."""
ALGEBRA_GIVES_WAY = "UCHUU_ALGEBRA_GIVES_WAY" in os.environ
"""Whether the algebra's processes leave the processor to others: to those that judge what is typed."""
ALGEBRA_SECONDS = 12.0
"""Hard limit of one algebra call, in seconds of work; the worker is ended and replaced past it. The core bounds its work by itself:
this is for what nobody foresaw, and far above what a busy machine needs (a killed worker costs everybody)."""

JOBS_AT_ONCE = False
"""True: a job is done in the request that asks for it (the server's tests)."""
DOES_JOBS = "UCHUU_JOB_SLOT" in os.environ
"""Whether this process does long work: nobody types here."""
JOB_SLOT = os.environ.get("UCHUU_JOB_SLOT", "1")
"""Which of the workers for long work this process is: one that starts again takes up what it was doing."""
JOB_SECONDS = 60
"""A running job that has said nothing for so long was left lying: it is taken up again. Longer than a step may take."""
PROCRASTINATE_ON_APP_READY = None
