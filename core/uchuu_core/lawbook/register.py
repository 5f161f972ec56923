"""All laws by key."""

from uchuu_core.lawbook import (
    complex_numbers,
    drawing,
    equations,
    expanding,
    exponents,
    factoring,
    fractions,
    functions,
    judging,
    linear,
    marking,
    noticing,
    numbers,
    quadratics,
    radicals,
    sidework,
    twinning,
)
from uchuu_core.lawbook.law import Law
from uchuu_core.lawbook.says import Sentence

CHAPTERS = (
    numbers,
    exponents,
    radicals,
    sidework,
    complex_numbers,
    drawing,
    expanding,
    factoring,
    fractions,
    linear,
    quadratics,
    equations,
    functions,
    judging,
    marking,
    noticing,
    twinning,
)
LAWS: dict[str, Law] = {
    law.key: law for chapter in CHAPTERS for law in vars(chapter).values() if isinstance(law, Law)
}
"""In the order of the chapters."""
SENTENCES: dict[str, Sentence] = {
    f"{chapter.__name__.rpartition('.')[2]}/{name.lower().replace('_', '-')}": sentence
    for chapter in CHAPTERS
    for name, sentence in vars(chapter).items()
    if isinstance(sentence, Sentence)
}
"""Every template by its key: the chapter and what it says."""
