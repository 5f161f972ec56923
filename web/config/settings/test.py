"""Settings for the tests: a cheap password hasher, no lock-out by default."""

from config.settings.base import *  # noqa: F403

PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]
ALGEBRA_WORKERS = 1
SECRET_KEY = "only for tests"
JOBS_AT_ONCE = True
