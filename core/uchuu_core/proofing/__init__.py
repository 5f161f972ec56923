"""Somebody's key: its items found in a text, and each held against exact computation."""
