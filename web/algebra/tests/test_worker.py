"""What runs in a worker: answers as text, failures as records, texts that are only read."""

import json

from hypothesis import given, settings
from hypothesis import strategies as st
from uchuu_core.failures import Failure
from uchuu_core.notation import read

from algebra import worker


@given(
    st.lists(
        st.one_of(st.sampled_from(["2x + 1 = 7", "x^2", "2x + =", "(", ""]), st.text()), max_size=6
    )
)
@settings(max_examples=80)
def test_each_text_is_read_for_itself_and_says_why_it_cannot_be(texts: list[str]) -> None:
    found = worker.unread(texts)
    assert len(found) == len(texts)
    for text, why in zip(texts, found, strict=True):
        try:
            read(text)
        except Failure as failure:
            assert why == failure.message
        else:
            assert why == ""


@given(st.text(max_size=40), st.sampled_from(["check", "work", "inspect", "facts"]))
@settings(max_examples=60)
def test_whatever_is_asked_a_worker_answers_in_json_and_says_whether_it_is_an_answer(
    text: str, operation: str
) -> None:
    is_answer, written = worker.answer(operation, {"task": "solve", "given": text, "lines": []})
    record = json.loads(written)
    assert is_answer == ("failure" not in record)
    if not is_answer:
        assert record["failure"]["message"]
