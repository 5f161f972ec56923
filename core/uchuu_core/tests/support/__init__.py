"""Generators of trees, problems and papers, and the cases: for tests and benchmarks only."""
