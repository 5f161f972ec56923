"""The labels under which features of a function are written in classrooms, and what they stand for."""

import re

LABELS = {
    "domain": ("domain", "dom"),
    "range": ("range",),
    "hole": ("hole", "hole at", "removable discontinuity"),
    "holes": ("holes", "holes at"),
    "vertical asymptote": ("vertical asymptote", "vert asymptote", "va", "v.a"),
    "vertical asymptotes": ("vertical asymptotes", "vert asymptotes", "vas", "va's"),
    "horizontal asymptote": ("horizontal asymptote", "horiz asymptote", "ha", "h.a"),
    "oblique asymptote": ("oblique asymptote", "slant asymptote", "oa", "sa", "o.a", "s.a"),
    "asymptotes": ("asymptotes", "asymptote"),
    "x-intercept": ("x-intercept", "x intercept", "x-int", "x int", "zero", "root"),
    "x-intercepts": (
        "x-intercepts",
        "x intercepts",
        "x-ints",
        "x ints",
        "zeros",
        "zeroes",
        "roots",
    ),
    "y-intercept": ("y-intercept", "y intercept", "y-int", "y int"),
    "end left": ("end left", "left end"),
    "end right": ("end right", "right end"),
    "end behavior": ("end behavior", "end behaviour", "ends"),
    "point": ("point",),
    "points": ("points",),
}
"""What is shown as the label, with the ways in which it is written."""
_LIKELY = re.compile(r"[A-Za-z]{2}|[DR](?:_?f)?\s*[:=]|→|->|\\to|[xy][ -]int")
"""What every labelled line holds: told quickly, since almost no line is one."""
_BY_WRITTEN = {written: label for label, ways in LABELS.items() for written in ways}
_WAYS = "|".join(re.escape(way) for way in sorted(_BY_WRITTEN, key=len, reverse=True))
_LABEL = re.compile(
    rf"(?i)\s*(?:\\text\{{)?\s*({_WAYS})\.?\s*(?::|=|\s(?=\(|[xy]\s*=|none\b))\s*(?:\}})?"
)
_SET_LETTER = re.compile(
    r"\s*([DR])(?:_?f)?\s*(?::(?=.*(?:[≠<>≤≥∈{(\[∪ℝ∞∖]|!=|\ball\b|\breals?\b))"
    r"|=(?=\s*(?:[{ℝ]|all\b|R\b|[(\[][^()]*,|[a-z]\s*(?:∈|≠|!=|[<>≤≥]))))\s*"
)
_NO = re.compile(rf"(?i)\s*no\s+({_WAYS})\s*\.?\s*$")
_TO = r"(?:→|->|\\to(?![a-zA-Z])|\\rightarrow(?![a-zA-Z]))"
_FAR = r"(?P<far>[-−–+±]?|\\pm)\s*(?:∞|\\infty|infinity)"
_VALUE = rf"(?:y|[fgh]\s*\(\s*[a-z]\s*\))\s*{_TO}\s*(?P<value>[^,;]+?)"
_ENDS = (
    re.compile(rf"(?i)\s*(?:as\s+)?[a-z]\s*{_TO}\s*{_FAR}\s*[,;:]?\s*(?:then\s+)?{_VALUE}\s*$"),
    re.compile(rf"(?i)\s*{_VALUE}\s*[,;]?\s*as\s+[a-z]\s*{_TO}\s*{_FAR}\s*$"),
)


def labelled(text: str) -> tuple[str, str, int] | None:
    """Return the label that *text* begins with, what follows it, and where that begins.

    ``("hole", "(2, 5)", 6)``; what follows "no holes" is ``none``. None when there is no label.
    """
    if not _LIKELY.search(text):
        return None
    found = _LABEL.match(text)
    if found:
        label = _BY_WRITTEN[found.group(1).lower()]
        return label, text[found.end() :], found.end()
    found = _SET_LETTER.match(text)
    if found:
        label = "domain" if found.group(1) == "D" else "range"
        return label, text[found.end() :], found.end()
    found = _NO.match(text)
    if found:
        return _BY_WRITTEN[found.group(1).lower()], "none", found.start(1)
    for way in _ENDS:
        found = way.match(text)
        if found:
            sign = found["far"].strip()
            both = sign in ("±", r"\pm")
            label = (
                "end behavior" if both else "end left" if sign in ("-", "−", "–") else "end right"
            )
            return label, found["value"], found.start("value")
    return None
