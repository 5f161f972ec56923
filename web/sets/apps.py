"""The app of sets, and the long work that it has."""

from django.apps import AppConfig


class SetsConfig(AppConfig):
    """Registers the making of parallel versions."""

    name = "sets"

    def ready(self) -> None:
        """Make the kinds of jobs known."""
        from jobs.kinds import Kind, register

        from sets.actions import copy_set

        register(
            "versions",
            Kind(copy_set.plan_versions, copy_set.one_of_a_version, copy_set.store_versions),
        )
