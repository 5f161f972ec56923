"""When an error is due: families of errors, and the laws of the next line that they distort.

Nobody takes out a factor wrongly on the way to opened brackets. An error that belongs to no family is
due wherever the next line deals with its part.
"""

_OPENED = """
multiply-into-bracket multiply-brackets take-minus-into-bracket expand-brackets power-as-product
power-of-product multiply-by-lcd cross-multiply clear-denominators collect-like-terms raise-both-sides
multiply-roots one-numerator common-denominator rationalise substitute put-back
"""
_FACTORED = """
common-factor difference-of-squares divide-and-reduce factor factor-by-trying factor-denominator
factor-denominators factor-everything factor-out factor-top-and-bottom group grouping perfect-square
prime split-middle split-middle-and-group sum-of-cubes sum-product write-as-cubes write-as-squares
"""
_COLLECTED = """
collect-like-terms solve-linear add-numbers multiply-numbers subtract-on-both-sides add-on-both-sides
zero-on-one-side one-numerator collect-like-radicals
"""
_MOVED = """
subtract-on-both-sides add-on-both-sides collect-like-terms zero-on-one-side constant-across
isolate-radical isolate-the-square isolate-the-power solve-linear
"""
_SCALED = "divide-both-sides multiply-both-sides divide-each-term divide-by-leading solve-linear"
_SQUARE = "complete-the-square constant-across divide-by-leading perfect-square root-both-sides"
_FORMULA = "quadratic-formula discriminant both-solutions"
_CANCELLED = """
divide-out reduce-fractions factor-top-and-bottom opposite-factors divide-each-term hole
factor-everything
"""
_FAMILIES = (
    (("distribute-", "expand-"), _OPENED),
    (("gcf-", "diff-squares-", "sum-squares-", "cubes-", "grouping-", "trinomial-"), _FACTORED),
    (("perfect-square-",), _FACTORED),
    (("like-",), _COLLECTED + _OPENED),
    (("csq-",), _SQUARE),
    (("formula-",), _FORMULA),
    (("quad-root-one-side", "quad-root-taken", "quad-root-coefficient", "quad-missing"), _SQUARE),
    (("cancel", "fraction-split-denominator", "ratexpr-divided"), _CANCELLED),
    (("lineq-one-side-only",), _MOVED + _SCALED),
    (("lineq-same-sign-when-moved", "lineq-constant-as-answer"), _MOVED),
    (("lineq-part-of-side", "lineq-subtracts-", "lineq-negative-"), _SCALED),
    (
        ("exponent-as-multiplier",),
        "work-out-power multiply-numbers power-as-product power-of-power",
    ),
)
DUE = tuple((prefixes, frozenset(laws.split())) for prefixes, laws in _FAMILIES)


def is_due(error: str, laws: frozenset[str]) -> bool:
    """Return whether *error* distorts one of the *laws* that lead to the next line.

    Always where nothing is known of them (empty: a teacher wrote the lines).
    """
    if not laws:
        return True
    return all(not error.startswith(prefixes) or laws & wanted for prefixes, wanted in DUE)
