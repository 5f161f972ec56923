"""When reviews are due: over months, with holidays, held late or in time."""

from datetime import date, timedelta

from hypothesis import given
from hypothesis import strategies as st

from lessons.reviews import DAYS, due_on, school_day

DATES = st.dates(date(2026, 8, 1), date(2027, 7, 1))
FREE = st.lists(
    st.tuples(DATES, st.integers(0, 21)).map(lambda one: (one[0], one[0] + timedelta(one[1]))),
    max_size=6,
)
PAUSES = st.lists(st.integers(1, 60), min_size=1, max_size=5, unique=True).map(sorted)


def test_after_two_seven_and_twenty_one_days_and_never_on_a_weekend() -> None:
    monday = date(2026, 11, 2)
    assert due_on(monday, [], DAYS, []) == date(2026, 11, 4)
    assert due_on(monday, [date(2026, 11, 4)], DAYS, []) == date(2026, 11, 9)
    done = [date(2026, 11, 4), date(2026, 11, 9)]
    assert due_on(monday, done, DAYS, []) == date(2026, 11, 23)
    assert due_on(monday, [*done, date(2026, 11, 23)], DAYS, []) is None
    assert due_on(date(2026, 11, 5), [], DAYS, []) == date(
        2026, 11, 9
    )  # Thursday: over the weekend


@given(DATES, PAUSES, FREE, st.lists(st.integers(0, 12), max_size=5))
def test_held_when_due_or_late_every_review_comes_once_and_on_a_school_day(
    taught: date, days: list[int], free: list[tuple[date, date]], late: list[int]
) -> None:
    done: list[date] = []
    while (due := due_on(taught, done, days, free)) is not None:
        number = len(done)
        pause = days[number] - (days[number - 1] if number else 0)
        assert due >= (done[-1] if done else taught) + timedelta(
            pause
        )  # never sooner than it was meant
        assert due == school_day(due, free)
        assert due.weekday() < 5
        assert not any(first <= due <= last for first, last in free)
        done.append(due + timedelta(late[number] if number < len(late) else 0))
    assert len(done) == len(days)
    assert done == sorted(set(done))


@given(DATES, PAUSES)
def test_a_holiday_only_puts_off(taught: date, days: list[int]) -> None:
    plain = due_on(taught, [], days, [])
    assert plain is not None
    free = [(plain - timedelta(3), plain + timedelta(10))]
    moved = due_on(taught, [], days, free)
    assert moved is not None
    assert plain < moved
    assert moved - plain <= timedelta(13)
