"""Contrast pairs: the wrong line is refuted, the right one and the one beside it are proved, by the kernel."""

import pytest

from uchuu_core.failures import BadRequest
from uchuu_core.moves.catalogue import ERRORS, wordings
from uchuu_core.notation import read
from uchuu_core.operations import answer
from uchuu_core.telling.contrast import contrast
from uchuu_core.tree.paths import letters

MOVES = {move.key: move for move in ERRORS}


@pytest.mark.parametrize("error", sorted(wordings()))
def test_what_stands_beside_becomes_what_the_kernel_says(error: str) -> None:
    found = contrast(error)
    assert found["says"]
    assert found["wrong"]["text"] != found["right"]["text"]
    if "beside" in found:
        beside = read(found["beside"]["text"])
        task = "simplify" if letters(beside) else "evaluate"
        asked = {"task": task, "given": found["beside"]["text"]}
        judged = answer("check", {**asked, "lines": [found["becomes"]["text"]]})
        assert judged["answer"]["right"], judged
        assert not list(MOVES[error].apply(beside))  # the error does not arise there
        assert found["beside"]["text"] != found["before"]["text"]


def test_an_error_that_nobody_knows_is_refused() -> None:
    with pytest.raises(BadRequest):
        contrast("no-such-error")
    assert answer("contrast", {"error": "no-such-error"})["failure"]["code"]
