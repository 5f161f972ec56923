"""Looking before working: what kind of problem it is and what is worth noticing."""
