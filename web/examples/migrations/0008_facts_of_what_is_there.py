"""Every example that is there gets its row of facts; the worker learns the rest."""

from typing import Any

from django.db import migrations

SQL = """
INSERT INTO examples_examplefacts (example_id, name, lines, words, kind, method, skills, reveals, stop, ground)
SELECT e.id,
       left(lower(regexp_replace(trim(coalesce(nullif(e.title, ''), e.given)), '\\s+', ' ', 'g')), 200),
       (SELECT count(*) FROM examples_writtenline l WHERE l.example_id = e.id),
       replace(lower(concat_ws(E'\\n', e.title, e.given, replace(e.given, ' ', ''), e.task)), '-', ' '),
       '', '', '{}', '{}', '', ''
FROM examples_example e
"""


class Migration(migrations.Migration):
    """Write them in one statement."""

    dependencies: list[Any] = [("examples", "0007_facts_and_filing")]
    operations: list[Any] = [migrations.RunSQL(SQL, migrations.RunSQL.noop)]
