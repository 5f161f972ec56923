"""The application as gunicorn loads it."""

import os

from django.core.wsgi import get_wsgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings.base")

application = get_wsgi_application()

from algebra import pool  # noqa: E402  # the applications are loaded now

pool.begin()
