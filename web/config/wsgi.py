"""The application as gunicorn loads it."""

import os
import threading

from django.core.wsgi import get_wsgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings.base")

application = get_wsgi_application()

from algebra import pool  # noqa: E402  # the applications are loaded now
from uchuu_core.notation import read  # noqa: E402

pool.begin()
# whoever asks first finds the grammar loaded
threading.Thread(target=read, args=("x = 1",)).start()
