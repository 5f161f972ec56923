"""Plausible papers of students for a problem, made up: for demonstrations, trials and benchmarks."""
