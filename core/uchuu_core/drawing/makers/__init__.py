"""How a kind of step is drawn: makers of marks, from which the table of laws is made."""
