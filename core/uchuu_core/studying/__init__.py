"""The ``study`` operation: every feature of a rational function, and curves ready to plot."""
