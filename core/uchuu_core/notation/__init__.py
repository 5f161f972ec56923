"""Reading and writing lines in plain notation, LaTeX and spoken English."""

from uchuu_core.notation.reading import notation_of, read
from uchuu_core.notation.sides import shown
from uchuu_core.notation.writers.latex import latex
from uchuu_core.notation.writers.plain import plain
from uchuu_core.notation.writers.spoken import spoken

__all__ = ["latex", "notation_of", "plain", "read", "shown", "spoken"]
