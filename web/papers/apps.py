"""The app of papers, and the long work that it has."""

from django.apps import AppConfig


class PapersConfig(AppConfig):
    """Registers the marking of a sitting."""

    name = "papers"

    def ready(self) -> None:
        """Make the kind of job known."""
        from algebra import pool
        from jobs.kinds import Kind, register

        from papers.actions import marking

        register("marking", Kind(marking.plan, marking.some_papers, marking.finish, pool.begin))
