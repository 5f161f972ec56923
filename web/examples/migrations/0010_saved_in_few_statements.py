from django.db import migrations, models


class Migration(migrations.Migration):
    """The count of lines goes: it is counted. Its column stays for hosts that run the version before."""

    dependencies = [("examples", "0009_facts_typeset")]
    operations = [
        migrations.AddField(
            model_name="example",
            name="kept",
            field=models.DateTimeField(editable=False, null=True),
        ),
        migrations.SeparateDatabaseAndState(
            database_operations=[
                migrations.RunSQL(
                    "ALTER TABLE examples_examplefacts ALTER COLUMN lines SET DEFAULT 0",
                    "ALTER TABLE examples_examplefacts ALTER COLUMN lines DROP DEFAULT",
                )
            ],
            state_operations=[migrations.RemoveField(model_name="examplefacts", name="lines")],
        ),
    ]
