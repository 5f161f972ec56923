"""Writers: one tree, several notations."""
