"""Load the demo teachers with their examples, sets and a key to proof; by default only where nobody is yet."""

import json
from pathlib import Path
from typing import Any

from classes.models import SchoolClass
from django.conf import settings
from django.contrib.auth.models import User
from django.core.management.base import BaseCommand, CommandParser
from errors.models import OwnError
from examples.actions.import_examples import import_examples
from examples.models import Example
from filing.models import Unit
from house.models import HouseRules
from proofs.actions.proof_key import begin_proof
from proofs.models import Proof
from sets.actions.save_set import create_set
from sets.models import ProblemSet
from sets.schemas import ItemIn, SetIn
from teachers.accounts import DEMO_TEACHERS

from keeping.demo_classes import load_classes

PASSWORD = "harbour-42"
KEY = "Key that came with a borrowed sheet"


class Command(BaseCommand):
    """``load_demo [--reset]``."""

    help = "Load the made-up demo teachers, examples and sets."

    def add_arguments(self, parser: CommandParser) -> None:
        """Add ``--reset``: what the demo teachers wrote is thrown away first."""
        parser.add_argument("--reset", action="store_true")

    def handle(self, *args: Any, **options: Any) -> None:
        """Make the demo teachers of a new installation, or set them anew; who was deleted stays away."""
        if User.objects.exists() and not options["reset"]:
            return
        folder: Path = settings.ROOT / "demo"
        for name in DEMO_TEACHERS:
            teacher, created = User.objects.get_or_create(username=name)
            if created or options["reset"]:
                teacher.set_password(PASSWORD)
                teacher.save()
            if options["reset"]:
                SchoolClass.objects.filter(teacher=teacher).delete()
                ProblemSet.objects.filter(teacher=teacher).delete()
                Proof.objects.filter(teacher=teacher).delete()
                OwnError.objects.filter(teacher=teacher).delete()
                HouseRules.objects.filter(teacher=teacher).delete()
                Example.objects.filter(teacher=teacher).delete()
                Unit.objects.filter(teacher=teacher).delete()
            if not Example.objects.filter(teacher=teacher).exists():
                document = json.loads((folder / f"{name}.json").read_text("utf-8"))
                stored = import_examples(teacher=teacher, document=document)
                sets = _load_sets(teacher, stored, folder / f"{name}-sets.json")
                load_classes(teacher, folder / f"{name}-classes.json")
                key = folder / f"{name}-key.txt"
                if key.exists():  # proofed by the worker, as a key that was pasted
                    begin_proof(teacher=teacher, title=KEY, text=key.read_text("utf-8"))
                self.stdout.write(f"{name}: {len(stored)} examples, {sets} sets")


def _load_sets(teacher: User, examples: list[Example], place: Path) -> int:
    """Store the sets of the file, whose items name examples by their titles; return how many."""
    if not place.exists():
        return 0
    by_title = {example.title: example.pk for example in examples}
    records = json.loads(place.read_text("utf-8"))
    for record in records:
        items = [
            ItemIn(
                example=by_title[item["title"]], **{k: v for k, v in item.items() if k != "title"}
            )
            for item in record["items"]
        ]
        content = SetIn(title=record["title"], instruction=record["instruction"], items=items)
        create_set(teacher=teacher, content=content)
    return len(records)
