"""The table of what each law is known for is whole: no trap and no common error stands outside it."""

from uchuu_core.lawbook.register import LAWS
from uchuu_core.moves.catalogue import ERRORS
from uchuu_core.moves.classics import CLASSICS, place_among_classics
from uchuu_core.moves.move import Common, Effect

NAMED = {error.key for errors in CLASSICS.values() for error in errors}
ON_THE_LINE = {"sign-minus-negative", "lineq-identity-misread", "lineq-contradiction-misread"}


def test_every_law_at_which_many_leave_is_known_for_an_error() -> None:
    traps = [law for law in LAWS.values() if law.is_trap]

    assert traps
    assert [law.key for law in traps if not CLASSICS.get(law)] == []


def test_what_every_class_has_is_known_of_a_law() -> None:
    common = {
        error.key
        for error in ERRORS
        if error.common is Common.IN_EVERY_CLASS and error.effect is not Effect.UNFINISHED
    }

    assert common - NAMED - ON_THE_LINE == set()


def test_an_error_is_due_where_its_law_is() -> None:
    """A law that is known for an error belongs to a family in which that error is due."""
    strangers = [
        (law.key, error.key)
        for law, errors in CLASSICS.items()
        for error in errors
        if error.due and not law.families & error.due
    ]

    assert strangers == []


def test_the_first_of_a_law_comes_first() -> None:
    law, errors = next(iter(CLASSICS.items()))

    places = [place_among_classics(error.key, frozenset({law})) for error in errors]
    assert places == list(range(len(errors)))
    assert place_among_classics(errors[0].key, frozenset()) is None
