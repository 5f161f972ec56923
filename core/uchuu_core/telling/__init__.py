"""Telling an example: what changes from line to line, and a track of what to say, ask and watch for."""
