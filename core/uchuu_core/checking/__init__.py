"""Checking a paper: a verdict for each line, the error behind a wrong one, the answer."""
