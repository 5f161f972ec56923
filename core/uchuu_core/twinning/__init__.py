"""Another problem like the one given: same structure, same route, other numbers; runs and families."""
