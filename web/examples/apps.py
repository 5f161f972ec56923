"""The app of examples, and what makes the worker learn of them again."""

from django.apps import AppConfig
from django.db.models.signals import post_delete, post_save


class ExamplesConfig(AppConfig):
    """Listens to what answers depend on."""

    name = "examples"

    def ready(self) -> None:
        """Learn again when house rules or own errors change."""
        from errors.models import OwnError
        from house.models import HouseRules

        from examples.learning import learn_again

        for model in (OwnError, HouseRules):
            for changed in (post_save, post_delete):
                changed.connect(
                    learn_again, sender=model, dispatch_uid=f"learn-{model.__name__}-{id(changed)}"
                )
