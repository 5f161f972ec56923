"""What a hand draws on lines, in words: for readers, and for who cannot see the drawing."""

from uchuu_core.lawbook.says import Sentence

STRUCK = Sentence("{parts} are struck.")
STRUCK_TWICE = Sentence("{part} is struck above and below.")
STRUCK_ALONE = Sentence("{part} is struck.")
STRUCK_LEFT = Sentence("{part} is struck, {left} is left.")
BENEATH = Sentence("Under {part}: {note}.")
BOXED = Sentence("{parts} in a box: the place was left for it.")
RINGED = Sentence("{parts} ringed.")
RINGED_AS = Sentence("{part} ringed: {note}.")
BRACKETED = Sentence("{parts} in brackets: each acts as one.")
ARROWS = Sentence("Arrows from {part} to {parts}.")
JOINED = Sentence("{parts} belong together.")
TURNED = Sentence("{parts} turned over.")
TIMES = Sentence("{parts} times {factor}.")
