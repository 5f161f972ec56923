from django.db import migrations


class Migration(migrations.Migration):
    """A count that processes share (``teachers/kept.py``)."""

    dependencies = [("teachers", "0003_one_account_an_address")]
    operations = [
        migrations.RunSQL("CREATE SEQUENCE teachers_changes", "DROP SEQUENCE teachers_changes")
    ]
