"""The tree of a written line and how to walk, build and change it."""
