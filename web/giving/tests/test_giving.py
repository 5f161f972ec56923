"""What is given out: every kind of sheet in every format, and a key that cannot be wrong."""

import io
import json
import xml.etree.ElementTree as ET
import zipfile
from pathlib import Path
from typing import Any

import pytest
import xmlschema
from api.testing import ApiClient
from defusedxml.ElementTree import fromstring  # type: ignore[import-untyped]
from sets.models import ProblemSet

from giving.records import Wish
from giving.sheets import MOST_ROOM, sheet_of, sheets_of

SCHEMA = Path(__file__).resolve().parents[1] / "format" / "item.xsd"
KINDS = ("handout", "short", "key", "mistakes", "choices", "slides")
LINEAR = {"task": "solve", "given": "3(x - 2) = 9"}
WRONG = {"task": "solve", "given": "x^2 = 49", "lines": ["x = 7"]}
FRACTION = {"task": "simplify", "given": "(x^2 - 9)/(x^2 + 5x + 6)"}
BEYOND = {"task": "solve", "given": "x*2^x = 3"}
UNREADABLE = {"task": "solve", "given": r"2x + = \input{/etc/passwd} #eval <b>&"}


@pytest.fixture
def stored(ada: ApiClient) -> dict[str, Any]:
    return ada.set_of(LINEAR, WRONG, FRACTION, BEYOND, UNREADABLE, title=r"A & B <i> #x $ \end{x}")


def _get(teacher: ApiClient, path: str) -> bytes:
    reply = teacher.call("GET", f"/give/{path}")
    assert reply.status_code == 200, reply.content[:300]
    content: bytes = reply.content
    return content


@pytest.mark.parametrize("kind", KINDS)
def test_every_sheet_is_written_in_every_format(
    ada: ApiClient, stored: dict[str, Any], kind: str
) -> None:
    base = f"{stored['id']}/sheet/{kind}"

    assert _get(ada, f"{base}.pdf?forks=true&paper=us-letter").startswith(b"%PDF-")
    page = _get(ada, f"{base}.html").decode()
    text = _get(ada, f"{base}.txt").decode()
    latex = _get(ada, f"{base}.tex").decode()
    assert "3(x - 2) = 9" in text
    assert "$" in _get(ada, f"{base}.md").decode()
    assert "<i>" not in page
    assert "A &amp; B" in page
    fromstring(page.removeprefix("<!doctype html>\n").replace('<meta charset="utf-8">', ""))
    assert r"\input{" not in latex
    assert latex.count(r"\begin{") == latex.count(r"\end{") == 2
    assert r"A \& B" in latex


def test_a_preview_is_the_pages_and_says_what_could_not_be_worked(
    ada: ApiClient, stored: dict[str, Any]
) -> None:
    preview = json.loads(_get(ada, f"{stored['id']}/preview/key"))

    assert preview["pages"]
    assert [line[:2] for line in preview["refused"]] == ["4:", "5:"]
    assert "x = 5" in preview["text"]


def test_a_key_never_shows_lines_that_do_not_hold(ada: ApiClient, stored: dict[str, Any]) -> None:
    text = _get(ada, f"{stored['id']}/sheet/key.txt").decode()

    assert "x = 7 or x = -7" in text
    assert "\n   x = 7\n" not in text
    own = {"task": "solve", "given": "4x = 8", "lines": ["4x/4 = 8/4", "x = 2"]}
    mine = ada.set_of(own)
    assert "4x/4 = 8/4" in _get(ada, f"{mine['id']}/sheet/key.txt").decode()
    assert "4x/4 = 8/4" not in _get(ada, f"{mine['id']}/sheet/key.txt?density=key").decode()


def test_decimals_are_printed_as_the_house_rules_have_them(ada: ApiClient) -> None:
    house = ada.call("GET", "/house").json()
    assert ada.call("PUT", "/house", {**house, "decimal": "comma"}).status_code == 200
    stored = ada.set_of({"task": "solve", "given": "2x + 0,5 = 2,25"})
    base = f"{stored['id']}/sheet/key"

    assert "2x + 0,5 = 2,25" in _get(ada, f"{base}.txt").decode()
    assert "Subtract 0,5 from both sides." in _get(ada, f"{base}.txt").decode()
    assert "2x+0{,}5=2{,}25" in _get(ada, f"{base}.tex").decode()
    assert _get(ada, f"{base}.pdf").startswith(b"%PDF-")


def test_density_forks_and_seed_change_what_is_shown(ada: ApiClient) -> None:
    stored = ada.set_of(LINEAR)
    base = f"{stored['id']}/sheet"

    assert len(_get(ada, f"{base}/key.txt?density=fine")) > len(
        _get(ada, f"{base}/key.txt?density=key")
    )
    assert b"first term" in _get(ada, f"{base}/key.txt?forks=true")
    assert b"first term" not in _get(ada, f"{base}/key.txt")
    orders = {_get(ada, f"{base}/choices.txt?seed={seed}") for seed in range(6)}
    assert len(orders) > 1


@pytest.mark.parametrize(
    ("rules", "problem", "left"),
    [
        ({"plus_minus": "kept"}, {"task": "solve", "given": "x^2 - 6x - 3 = 0"}, "x = 3 ± 2sqrt(3)"),
        ({"fractions": "mixed"}, {"task": "evaluate", "given": "2/3 + 3/4"}, "1 5/12"),
        ({"powers": "left"}, {"task": "simplify", "given": "(2x^3)^4"}, "2^4x^12"),
        ({"domains": "interval"}, {"task": "domain", "given": "sqrt(x - 3)"}, "[3, ∞)"),
        ({"no_real_root": "complex"}, {"task": "solve", "given": "x^2 + 4 = 0"}, "x = 2i or x = -2i"),
        ({"numerators": "factored"}, {"task": "simplify", "given": "1/x + 1/(x + 2)"}, "2(x + 1)/(x(x + 2))"),
    ],
)  # fmt: skip
def test_a_sets_own_rules_decide_how_its_key_leaves_answers(
    ada: ApiClient, rules: dict[str, str], problem: dict[str, str], left: str
) -> None:
    usual = ada.set_of(problem)
    other = ada.set_of(problem, house=rules)

    assert left in _get(ada, f"{other['id']}/sheet/key.txt").decode()
    assert left in _get(ada, f"{other['id']}/sheet/short.txt").decode()
    assert left not in _get(ada, f"{usual['id']}/sheet/short.txt").decode()


@pytest.mark.parametrize(
    ("given", "every", "where_needed", "none"),
    [("3(x - 2) = 9", 1, 0, 0), ("sqrt(x + 6) = x", 2, 2, 1), ("2/x + 1/3 = 1", 1, 1, 0)],
)
def test_which_checks_a_key_shows_is_a_rule_of_the_house(
    ada: ApiClient, given: str, every: int, where_needed: int, none: int
) -> None:
    counted = []
    for rule in ("every", "where-needed", "none"):
        stored = ada.set_of({"task": "solve", "given": given}, house={"checks": rule})
        (item,) = sheet_of(ProblemSet.objects.get(pk=stored["id"]), Wish("key")).items
        counted.append(len(item.checks))

    assert counted == [every, where_needed, none]


def test_the_right_answers_of_a_sheet_fall_on_every_letter(ada: ApiClient) -> None:
    given = [{"task": "solve", "given": f"{n}(x - 2) = 3x + {n}"} for n in range(4, 12)]
    stored = ada.set_of(*given)

    preview = json.loads(_get(ada, f"{stored['id']}/preview/choices"))
    again = json.loads(_get(ada, f"{stored['id']}/preview/choices"))
    sheet = _get(ada, f"{stored['id']}/sheet/choices.txt").decode()

    assert preview == again
    assert sheet
    letters = _right_letters(stored)
    assert sorted(letters) == sorted("abcd" * 2)
    assert letters != [*"abcdabcd"]


def _right_letters(stored: dict[str, Any]) -> list[str]:
    found = sheet_of(ProblemSet.objects.get(pk=stored["id"]), Wish(what="choices", seed=3))
    return [choice.letter for item in found.items for choice in item.choices if choice.right]


def test_a_package_holds_valid_items_with_one_right_answer_each(
    ada: ApiClient, stored: dict[str, Any]
) -> None:
    content = _get(ada, f"{stored['id']}/qti.zip")
    schema = xmlschema.XMLSchema(SCHEMA)

    with zipfile.ZipFile(io.BytesIO(content)) as packed:
        names = packed.namelist()
        manifest = fromstring(packed.read("imsmanifest.xml"))
        items = [packed.read(name).decode() for name in names if name.startswith("items/")]
    named = [e.get("href") for e in manifest.iter() if e.tag.endswith("}file")]
    assert sorted(named) == sorted(name for name in names if name != "imsmanifest.xml")
    assert len(items) == 3
    for text in items:
        schema.validate(text)
        tree: ET.Element = fromstring(text)
        ns = {"q": "http://www.imsglobal.org/xsd/imsqtiasi_v3p0"}
        value = tree.find(".//q:qti-value", ns)
        letters = [c.get("identifier") for c in tree.iterfind(".//q:qti-simple-choice", ns)]
        reasons = tree.findall(".//q:qti-feedback-inline", ns)
        assert value is not None
        assert value.text in letters
        assert len(reasons) == len(letters) - 1
    with pytest.raises(xmlschema.XMLSchemaException):
        schema.validate(
            items[0].replace("<qti-value>", "<value>").replace("</qti-value>", "</value>")
        )


def test_each_teacher_gives_only_their_own(ben: ApiClient, stored: dict[str, Any]) -> None:
    for path in (
        "sheet/key.pdf",
        "sheet/key.txt",
        "preview/key",
        "set.json",
        "items.csv",
        "qti.zip",
    ):
        assert ben.call("GET", f"/give/{stored['id']}/{path}").status_code == 404


@pytest.mark.parametrize(
    ("ending", "said"),
    [
        ("txt", "[Divide both sides by 3.]"),
        ("md", "Divide both sides by $3$."),
        ("tex", "Divide both sides by $3$."),
        ("html", "Divide both sides by <math"),
    ],
)
def test_mathematics_inside_a_sentence_is_typeset_in_every_key(
    ada: ApiClient, ending: str, said: str
) -> None:
    stored = ada.set_of({"task": "solve", "given": "3x = sqrt(2)"}, title="Roots")

    assert said in _get(ada, f"{stored['id']}/sheet/key.{ending}").decode()


@pytest.mark.parametrize("kind", ["handout", "choices", "mistakes"])
@pytest.mark.parametrize("ending", ["txt", "md", "tex"])
def test_what_students_get_comes_without_answers_and_apologies(
    ada: ApiClient, stored: dict[str, Any], kind: str, ending: str
) -> None:
    text = _get(ada, f"{stored['id']}/sheet/{kind}.{ending}").decode()

    students = text.partition("Key: ")[0]
    assert ("Key: " in text) is (kind != "handout")
    for told in ("right", "instead", "cannot", "meaning", "should be"):
        assert told not in students


def test_a_fork_stands_at_the_line_of_the_key_that_it_leaves(ada: ApiClient) -> None:
    lines = ["~~3x - 2 = 9~~", "3x - 6 = 9", "3x = 15", "x = 5"]
    mine = ada.set_of({**LINEAR, "lines": lines})
    stored = ProblemSet.objects.get(pk=mine["id"])
    for density in (None, "key"):  # one's own lines without the one crossed out, and worked ones
        (item,) = sheet_of(stored, Wish("key", forks=True, density=density)).items
        shown = ["3(x - 2) = 9", *(line.math.text for line in item.lines)]
        assert "3x - 2 = 9" not in shown
        assert item.leavings
        for leaving in item.leavings:
            task = {"task": "solve", "given": shown[leaving.after], "lines": [leaving.wrong.text]}
            (line,) = ada.call("POST", "/algebra/check", task).json()["lines"]
            assert line["error"]["name"] == leaving.name


def test_all_versions_come_in_one_file_each_with_its_letter(ada: ApiClient) -> None:
    first = ada.set_of(LINEAR, title="Quay")
    ada.call("POST", f"/sets/{first['id']}/versions", {"count": 2, "seed": 5})
    stored = ProblemSet.objects.get(pk=first["id"])
    whole = [sheet.form for sheet in sheets_of(stored, Wish("handout", versions=True))]
    assert whole == ["A", "B", "C"]
    last = ProblemSet.objects.get(form="C")
    again = [sheet.form for sheet in sheets_of(last, Wish("handout", versions=True))]
    assert again == whole
    assert len(sheets_of(last, Wish("handout"))) == 1
    pages = json.loads(_get(ada, f"{first['id']}/preview/handout?versions=true"))["pages"]
    assert len(pages) == 3


def test_answer_space_fits_on_a_page_whatever_the_marks(ada: ApiClient) -> None:
    many = ada.set_of(LINEAR)
    stored = ProblemSet.objects.get(pk=many["id"])
    stored.items.update(marks=100)
    (item,) = sheet_of(stored, Wish("handout")).items
    assert item.room == MOST_ROOM
    assert len(json.loads(_get(ada, f"{many['id']}/preview/handout"))["pages"]) == 1


HANDS = (
    {"task": "solve", "given": "3(2x - 5) - 4(x - 1) = 7"},
    {"task": "factor", "given": "5n^2 + 7n - 6"},
    {"task": "simplify", "given": "(x^2 - 9)/(x^2 + 5x + 6)*(x + 2)/(2x - 6)"},
    {"task": "simplify", "given": "sqrt(28) + 3sqrt(63)"},
    {"task": "solve", "given": "x^2 + 6x + 2 = 0"},
    {"task": "solve", "given": "3/(n - 6) + 4/n = 18/(n^2 - 6n)"},
    {"task": "domain", "given": "sqrt(x + 2)/(x - 3)"},
    {"task": "study", "given": "(x^2 + 4x - 12)/(x + 1)"},
    {"task": "solve", "given": "(2x + 5)/3 = 7/2"},
    {"task": "solve", "given": "9 = y - 7"},
    {"task": "simplify", "given": "2/(x + 1) + 3/x"},
    {"task": "solve", "given": "2^(x + 1) = 8"},
    {"task": "simplify", "given": "0.5x + 1.5x", "house": {"decimal": "comma"}},
)


def test_marks_of_the_hand_and_side_work_are_printed_where_they_are_wished_for(
    ada: ApiClient,
) -> None:
    """Of every topic, in every format; the paper without them is as it was."""
    stored = ada.set_of(*HANDS, title="By hand")
    base, wish = f"{stored['id']}/sheet", "marks=true&beside=true"

    for kind in ("key", "slides"):
        assert _get(ada, f"{base}/{kind}.pdf?{wish}").startswith(b"%PDF-")
    latex = _get(ada, f"{base}/key.tex?{wish}").decode()
    assert "cancel}" in latex.split(r"\begin{document}")[0]
    assert r"\cancel{x+3}" in latex
    page = _get(ada, f"{base}/key.html?{wish}").decode()
    assert "menclose" in page
    text = _get(ada, f"{base}/key.txt?{wish}").decode()
    assert "beside line 1: Product −30, sum 7: −3 and 10." in text
    plain = _get(ada, f"{base}/key.html").decode()
    assert "menclose" not in plain
    assert "beside line" not in _get(ada, f"{base}/key.txt").decode()


def test_a_mark_is_on_the_line_that_it_was_drawn_on(ada: ApiClient) -> None:
    stored = ProblemSet.objects.get(pk=ada.set_of(*HANDS[:2])["id"])
    marked, bare = (sheet_of(stored, Wish("key", marks=on)) for on in (True, False))

    for item, other in zip(marked.items, bare.items, strict=True):
        assert [line.math.text for line in item.lines] == [line.math.text for line in other.lines]
        assert "hand" not in other.given.typst
        assert "hand" not in item.lines[-1].math.typst
    first = marked.items[0]
    assert "handleaves" in first.given.left
    assert first.lines[-2].math.right.startswith("handbeneath(")
