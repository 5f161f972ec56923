"""Everything the core may refuse to do, as one tree.

    Failure
    ├── Unreadable            the text is not mathematics we can read; says where
    ├── TooLarge              a bound of ``limits`` is passed; names the bound
    ├── OutOfScope            readable, but of a kind this operation does not work
    ├── MethodDoesNotApply    the requested method cannot start on this problem; says why
    ├── BadRequest            the record lacks a field or holds an unknown word
    └── ProducedLineRefused   a method wrote a line that the kernel refuses: our bug

A *Failure* is the program's; an *error* is always a student's.
"""

from uchuu_core.answers.sentences import Refusal


class Failure(Exception):
    """A refusal with a code, a sentence (what, where, what to do) and a place in the text.

    Args:
        message: One or two plain sentences for a teacher.
        at: 0-based index of the offending character in the text, or None.
    """

    code = "failure"

    def __init__(self, message: str, at: int | None = None) -> None:
        super().__init__(message)
        self.message = message
        self.at = at

    @property
    def clause(self) -> str:
        """The message as it stands behind a colon."""
        return self.message[:1].lower() + self.message[1:].rstrip(".")

    def as_record(self) -> Refusal:
        """Return the contract's failure record."""
        return {"code": self.code, "message": self.message, "at": self.at}


class Unreadable(Failure):
    """The text cannot be read; ``at`` is the place, ``message`` says what was expected."""

    code = "unreadable"


class TooLarge(Failure):
    """A bound on the input is passed."""

    code = "too-large"


class OutOfScope(Failure):
    """The problem is readable, but this operation does not handle its kind."""

    code = "out-of-scope"


class MethodDoesNotApply(Failure):
    """The requested method cannot be used on this problem."""

    code = "method-does-not-apply"


class BadRequest(Failure):
    """A request record is not what the contract says."""

    code = "bad-request"


class ProducedLineRefused(Failure):
    """A method produced a line that the kernel does not accept. Always a bug of ours."""

    code = "produced-line-refused"
