"""The app that keeps everything of a teacher, and its long work."""

from django.apps import AppConfig


class KeepingConfig(AppConfig):
    """Registers the restoring of a file."""

    name = "keeping"

    def ready(self) -> None:
        """Make the kind of job known."""
        from jobs.kinds import Kind, register

        from keeping import restoring

        register("restore", Kind(restoring.plan, restoring.prove, restoring.store))
