"""The app of proofed keys, and the long work that it has."""

from django.apps import AppConfig


class ProofsConfig(AppConfig):
    """Registers the proofing of a key."""

    name = "proofs"

    def ready(self) -> None:
        """Make the kind of job known."""
        from jobs.kinds import Kind, register

        from proofs.actions import proof_key

        register("proof", Kind(proof_key.plan, proof_key.one_item, proof_key.store))
