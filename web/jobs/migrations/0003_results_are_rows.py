"""A step's result becomes a row of its own: a long job no longer writes all its results at every step."""

import django.db.models.deletion
from django.db import migrations, models


def _as_rows(apps, _editor):
    job_model, row_model = apps.get_model("jobs", "Job"), apps.get_model("jobs", "StepResult")
    for job in job_model.objects.all():
        row_model.objects.bulk_create(
            row_model(job=job, number=number, value=value)
            for number, value in enumerate(job.results)
        )


class Migration(migrations.Migration):
    dependencies = [("jobs", "0002_runner")]

    operations = [
        migrations.CreateModel(
            name="StepResult",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("number", models.PositiveIntegerField()),
                ("value", models.JSONField(null=True)),
                ("job", models.ForeignKey(on_delete=django.db.models.deletion.CASCADE, related_name="done", to="jobs.job")),
            ],
            options={
                "ordering": ["number"],
                "constraints": [models.UniqueConstraint(fields=("job", "number"), name="one_result_a_step")],
            },
        ),
        migrations.RunPython(_as_rows, migrations.RunPython.noop),
        migrations.RemoveField(model_name="job", name="results"),
    ]
