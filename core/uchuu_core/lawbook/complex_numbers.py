"""Laws of complex numbers."""

from uchuu_core.lawbook.law import Law

IMAGINARY_UNIT = Law(
    "imaginary-unit",
    "i² = −1",
    notice="A power of i stands there. What is i²?",
    why="i is the number whose square is −1.",
)
POWERS_OF_I = IMAGINARY_UNIT.says("The square of i is −1; its powers repeat after four.")
ROOT_OF_NEGATIVE = Law(
    "root-of-negative",
    "root of a negative",
    notice="A negative stands under the root. What does i do there?",
    why="i√a squared is −a.",
)
TAKE_I_OUT = ROOT_OF_NEGATIVE.says("A negative under the root: √(−1) is i.")
