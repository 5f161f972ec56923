"""Write the API's schema, from which the front end's types are generated."""

import json
from pathlib import Path
from typing import Any

from django.conf import settings
from django.core.management.base import BaseCommand

from config.api import api


def schema_text() -> str:
    """Return the OpenAPI schema as JSON text."""
    return json.dumps(api.get_openapi_schema(), indent=1, ensure_ascii=False) + "\n"


class Command(BaseCommand):
    """``write_openapi``."""

    help = "Write web/openapi.json."

    def handle(self, *args: Any, **options: Any) -> None:
        """Write the file."""
        place: Path = settings.ROOT / "web" / "openapi.json"
        place.write_text(schema_text(), "utf-8")
