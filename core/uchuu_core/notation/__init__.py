"""Reading lines in plain notation and LaTeX; writing those, MathML, Typst and spoken English."""

from uchuu_core.notation.reading import notation_of, read
from uchuu_core.notation.sides import shown
from uchuu_core.notation.writers.latex import latex
from uchuu_core.notation.writers.mathml import mathml
from uchuu_core.notation.writers.plain import plain
from uchuu_core.notation.writers.readable import readable
from uchuu_core.notation.writers.spoken import index_name, spoken
from uchuu_core.notation.writers.typst import typst

__all__ = [
    "index_name",
    "latex",
    "mathml",
    "notation_of",
    "plain",
    "read",
    "readable",
    "shown",
    "spoken",
    "typst",
]
