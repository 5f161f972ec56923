#!/usr/bin/env python3
"""Django's command line, with the core on the path. Use ``./uchuu`` for everyday work."""

import os
import sys
from pathlib import Path


def main() -> None:
    """Run a management command."""
    sys.path.insert(0, str(Path(__file__).resolve().parents[1] / "core"))
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings.base")
    from django.core.management import execute_from_command_line

    execute_from_command_line(sys.argv)


if __name__ == "__main__":
    main()
