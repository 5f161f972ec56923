"""Equations by the schools: every route writes on a ``Board`` and ends in its candidates."""
