from django.db import migrations


class Migration(migrations.Migration):
    """A count that processes share; it begins at its first number: before, the first change would not show."""

    dependencies = [("teachers", "0003_one_account_an_address")]
    operations = [
        migrations.RunSQL(
            ["CREATE SEQUENCE teachers_changes", "SELECT nextval('teachers_changes')"],
            "DROP SEQUENCE teachers_changes",
        )
    ]
