"""The app of scanned pages, and the long work that it has."""

from django.apps import AppConfig


class ScansConfig(AppConfig):
    """Registers the cutting of scanned stacks."""

    name = "scans"

    def ready(self) -> None:
        """Make the kind of job known."""
        from jobs.kinds import Kind, register

        from scans.actions import cutting

        register("scans", Kind(cutting.plan, cutting.some_pages, cutting.finish))
