"""The words and marks around the mathematics of a line, as patterns: one place to add a word."""

import re

LETTER = r"[^\W\d_]"
SEVERAL = re.compile(rf"{LETTER}{{2}}|=\s*\?|n/a|N/A")
RUN = re.compile(rf"{LETTER}+(?:['’]{LETTER}+)*")
KEPT = re.compile(
    r"""(?ix)\b(?:
    all\ (?:real\ )?(?:numbers?|values?|reals?)?\ ?(?:except(?:\ for|\ when|\ the\ excluded(?:\ values|\ ones)?|\ excluded)?)?
  | (?:every|any)\ (?:real\ )?(?:numbers?|values?|reals?)(?:\ except(?:\ for)?)?
  | all\ except\ (?:the\ )?excluded(?:\ values|\ ones)?
  | (?:has\ )?no\ (?:real\ )?(?:solutions?|values?|roots?|answers?)
  | not?\ (?:a\ )?real(?:\ numbers?)? | undefined | not\ defined | does\ not\ exist
  | (?:is\ )?prime | irreducible | unfactorable | (?:not|un)\ ?factorable
  | (?:cannot|can['’]t|does\ not|doesn['’]t)\ (?:be\ )?factor(?:ed)?(?:\ over\ the\ integers|\ further)?
  | always\ true | identity
  | (?:is\ )?true\ for\ (?:all|every|any)(?:\ real)?(?:\ (?:numbers?|values?(?:\ of\ [a-z])?|[a-z]\b))?
  | infinitely\ many(?:\ solutions)? | infinity | or | and | in | union
  | sqrt | cbrt | root | abs | logs? | ln | let | (?:un)?defined
    )\b | (?<![^\W\d_])(?:sqrt|cbrt|root|abs|log|ln)(?=[(_\d√]|\ ?[^\W_]\b|\ *[(\d])"""
)
FUNCTIONS = re.compile(r"(?i)(?:arc|a)?(?:sin|cos|tan|cot|sec|csc)h?|log|ln|lim|exp")
SHORT = frozenset(
    [
        "so",
        "no",
        "ok",
        "es",
        "na",
        "is",
        "if",
        "as",
        "by",
        "to",
        "we",
        "it",
        "at",
        "of",
        "on",
        "do",
        "be",
        "an",
        "my",
        "go",
        "re",
        "ie",
        "eg",
        "ex",
    ]
)
IS = re.compile(
    r"(?i)\b(?:is equal to|equals|is)\b(?=\s*[-−+]?[\d(√a-z])(?!\s+(?:no|an?|(?!sqrt|cbrt|root|abs)[a-z]{3}))"
)
CHECKS = re.compile(
    r"(?i)\b(?:check(?:ing|s|ed)?|verif\w+|prob[ea]|test(?:ing)?|plug\w*|substitut\w+|sub)\b|\?=|=\s*\?|≟|≠\s*\?"
)
REJECTS = re.compile(
    r"(?ix)\b(?:extraneous|extr|reject\w*|discard\w*|invalid|not\ (?:a\ |an\ )?(?:solution|valid|answer|possible|in\ the\ domain|allowed)"
    r"|(?:does|do)(?:n['’]t|\ not)\ (?:work|check|satisf\w+|hold|fit)|fails?|false|untrue|excluded|impossible"
    r"|(?:left|ruled|thrown|cross\w*)\ (?:it\ )?out|crossed|(?:neither|none)\ (?:of\ them\ )?(?:works?|checks?|holds?))\b|[✗✘❌✕]"
)
REJECTS_ALONE = re.compile(r"(?i)[\W_]*(?:no|out|n/a|es)[\W_]*")
"""Words that reject only where nothing else is said: "no", but not "no fractions left"."""
DENIED = re.compile(
    r"(?ix)\b(?:(?:no|none|neither|nor|nothing|never)(?:\ (?:is|are|was|of|them|these|the|solutions?|values?|roots?|candidates?))*"
    r"|(?:not|isn['’]t|aren['’]t)(?:\ (?:an?|the))*)\ (?:extraneous|extr|reject\w*|discard\w*|invalid|excluded|impossible|false|untrue|crossed)\b"
)
"""What is said not to be rejected: "neither is extraneous", "not excluded"."""
ALL = re.compile(r"(?i)\b(?:both|all|neither|none|each)\b")
TICKS = re.compile(r"[✓✔☑✅∎□■★•]|\bQED\b")
THEN = re.compile(
    r"=>|⇒|⟹|→|∴|\\(?:implies|Rightarrow|Longrightarrow|to|rightarrow|therefore)(?![a-zA-Z])"
)
NEARLY = re.compile(r"(?:≈|≃|≅|\\approx(?![a-zA-Z])|~=)[^,;]*")
STRUCK = re.compile(r"^\s*(?:~~(.*)~~|\\(?:cancel|xcancel|sout|st)\{(.*)\})\s*$", re.DOTALL)
TEXT = re.compile(r"\\(?:text|textrm|textit|textbf|mathrm|operatorname|mbox)\s*\{([^{}]*)\}")
SIGN = r"[-+−–*/÷×·:]"
DONE_TO = r"(?:\([^()]*\)|√|\d[\w./^²³]*|[^\W\d_][\w^²³]*)"
OPERATION = re.compile(
    rf"^\s*(?P<bar>\|)?\s*(?P<op>{SIGN})\s*(?P<by>{DONE_TO})(?P<twice>\s*[|,]?\s+(?P=op)\s*(?P=by))?\s*\|?\s*$"
)
ATTACHED = re.compile(rf"\s\|\s*(?P<op>{SIGN}\s*{DONE_TO}|√|\^\s*\d+|²)\s*\|?\s*$")
GAP = re.compile(
    r"(?<=[\w)\]²³])(?:\s{2,}|\t+)(?=[\w(√\\])(?!(?!sqrt|root|abs)[^\W\d_]{3})(?=[^=]*=)"
)
SIGN_SAID = re.compile(r"(?<==)(?P<value>[^=<>≤≥]*?)\s*[<>≤≥]\s*0\s*$")
ANSWERS = re.compile(
    r"(?i)\b(?:answer|ans|so|thus|hence|therefore|gives?|get|we|then|final\w*|simplif\w*|result|which|is"
    r"|equals|now|next|finally|solution|expand\w*|factor\w*)\W*$"
)
"""Words after which an expression is the next line, not a number that they speak of."""
NAMED = re.compile(
    r"(?i)\s*(?:the\s+)?(?:lcd|lcm|gcf|gcd|hcf|conjugate|reciprocal|like\s+terms?)\s*"
)
DONE = re.compile(
    r"(?i)\s*(?:(?:we|i|then|by|after|and)\s+)*(?:add|subtract|tak|minus|plus|times|multipl|divid|rais|squar"
    r"|distribut|expand|factor|combin|mov|bring|simplif|cancel|collect|appl|us|because|since)"
)
AMOUNT_FIRST = re.compile(r"\s*([^=:<>≤≥≠]{1,20}):\s+(?=[^=]*=)")
ONE_LETTER = re.compile(rf"{LETTER}")
NOTHING = re.compile(r"(?i)\s*(?:has\s+)?no\s")
BECAUSE = re.compile(r"(?i)(?<=\S)\s+\b(?:because|since)\b.*")
WITH_AMOUNT = re.compile(r"(?i)\b(?:out|by|from)\s*$")
NO_SIGN = re.compile(
    r"(?i)\s*(?:by|distribut|expand|factor|combin|simplif|cancel|collect|appl|us|because|since)"
)
APART = re.compile(r"(?:\s{2}|\t|[(,;:]\s*)$")
"""What parts the words about a line from the line."""
SIGN_WORD = re.compile(
    r"(?i)\s*(plus|minus|times|squared|cubed|divided\s+by|multiplied\s+by|raised\s+to|to\s+the)\b"
)
BOTH_SIDES = re.compile(r"(?i)\b(?:both|each|the)\s+sides?\b")
ALSO = re.compile(r"(?i)(?<=[\w)])\s*,?\s*\b(?:(?:and|or)\s+)?also\s+(?=[-−+\d(√]|[a-z]\s*=)")
NUMBERED = re.compile(
    r"(?i)^\s*(?:(?:step|line)\s*\d{1,2}\s*[.:)]|\d{1,2}\)|\d{1,2}\.(?=\s[^=]*=)|[a-h]\))\s+(?=\S)"
)
EDGES = re.compile(r"^[\s:;,.!–—]+|[\s:;,.!?–—]+$")
DANGLING = re.compile(r"(?:\s[-−–—+=]|[=])\s*$")
EMPTY = re.compile(r"\(\s*[,;:.!?]*\s*\)|\[\s*\]")
SEPARATORS = re.compile(r"\s*(?:,|;|\bor\b|\band\b|∨|\\text\{\s*(?:or|and)\s*\})\s*")
