"""The tray: a small stand-in for the submission service of a school, as a process of its own.

Papers are put in and wait; whoever has the shared secret lists, fetches and acknowledges them. It knows
nothing of the rest of the product: ``docs/formats.md`` describes its HTTP interface.
"""
