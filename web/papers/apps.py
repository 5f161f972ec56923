"""The app of papers, and the long work that it has."""

from django.apps import AppConfig


class PapersConfig(AppConfig):
    """Registers the marking of a sitting, and what could have gone wrong in it."""

    name = "papers"

    def ready(self) -> None:
        """Make the kinds of jobs known."""
        from algebra import pool
        from jobs.kinds import Kind, register

        from papers import chances
        from papers.actions import marking

        register("marking", Kind(marking.plan, marking.some_papers, marking.finish, pool.begin))
        register("chances", Kind(chances.plan, chances.of_item, chances.finish))
