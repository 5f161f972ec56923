"""All rules of a teacher in one place: what may be chosen is the core's business."""

from typing import Any

from django.apps.registry import Apps
from django.db import migrations, models
from django.db.backends.base.schema import BaseDatabaseSchemaEditor

NAMES = ("juxtaposition", "decimal", "density", "radicals", "methods", "spelling")


def gathered(apps: Apps, schema: BaseDatabaseSchemaEditor) -> None:
    """Bring the columns into one."""
    rows: Any = apps.get_model("house", "HouseRules").objects.all()
    for row in rows:
        row.rules = {name: getattr(row, name) for name in NAMES}
        row.save(update_fields=["rules"])


class Migration(migrations.Migration):
    dependencies = [("house", "0005_spelling")]
    operations = [
        migrations.AddField("houserules", "rules", models.JSONField(default=dict)),
        migrations.RunPython(gathered, migrations.RunPython.noop),
        *(migrations.RemoveField("houserules", name) for name in NAMES),
    ]
