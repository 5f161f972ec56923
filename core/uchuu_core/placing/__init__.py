"""Answers that come in: read, grouped, and set where they belong on the worked example."""
