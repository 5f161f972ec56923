"""The app of deliveries, and the long work that it has."""

from django.apps import AppConfig


class DeliveriesConfig(AppConfig):
    """Registers the fetching of papers from the tray."""

    name = "deliveries"

    def ready(self) -> None:
        """Make the kind of job known."""
        from jobs.kinds import Kind, register

        from deliveries.actions import fetching

        register("tray", Kind(fetching.plan, fetching.one_paper, fetching.finish))
