"""``teacher add | password | unlock | remove NAME``; a password comes in ``UCHUU_PASSWORD``."""

import os
from typing import Any

from django.contrib.auth.models import User
from django.core.management.base import BaseCommand, CommandError, CommandParser
from teachers import accounts
from teachers.models import Person

DONE = {
    "add": "“{name}” can sign in now.",
    "password": "“{name}” has a new password.",
    "unlock": "“{name}” is unlocked.",
    "remove": "“{name}” and everything of theirs is deleted.",
}


class Command(BaseCommand):
    """``teacher``."""

    help = "Make, change, unlock or delete a teacher's account."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add what is to be done, and whose account it is."""
        parser.add_argument("what", choices=list(DONE))
        parser.add_argument("name")
        parser.add_argument("--administrator", action="store_true")

    def handle(self, *args: Any, **options: Any) -> None:
        """Do it."""
        name, password = options["name"], os.environ.get("UCHUU_PASSWORD", "")
        try:
            match options["what"]:
                case "add":
                    accounts.add(name, password)
                    if options["administrator"]:
                        Person.objects.create(
                            teacher=User.objects.get(username=name), is_administrator=True
                        )
                case "password":
                    accounts.change_password(name, password)
                case "unlock":
                    accounts.unlock(name)
                case _:
                    accounts.remove(name)
        except accounts.AccountRefused as refused:
            raise CommandError(str(refused)) from None
        self.stdout.write(DONE[options["what"]].format(name=name))
