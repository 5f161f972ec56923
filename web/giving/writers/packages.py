"""A package of the items for test systems: QTI 3.0, one assessment item a file, and its manifest.

An item with enough wrong answers is a choice, each distractor with the reason behind it as feedback; the
others ask for a text and hold the right answer. What is written is described in ``format/item.xsd``.
"""

import io
import zipfile
from xml.sax.saxutils import escape, quoteattr

from giving.records import Sheet, SheetItem
from giving.writers.page import maths

_NS = "http://www.imsglobal.org/xsd/imsqtiasi_v3p0"
_HEAD = '<?xml version="1.0" encoding="UTF-8"?>\n'


def qti_package(sheet: Sheet) -> bytes:
    """Return the zip of a sheet of choices; items that cannot be worked are left out."""
    out = io.BytesIO()
    items = [item for item in sheet.items if item.answer is not None]
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as packed:
        packed.writestr("imsmanifest.xml", _manifest(sheet, items))
        for item in items:
            packed.writestr(_file(item), item_xml(item))
    return out.getvalue()


def _file(item: SheetItem) -> str:
    return f"items/item-{item.number:03}.xml"


def _manifest(sheet: Sheet, items: list[SheetItem]) -> str:
    resources = "".join(
        f'<resource identifier="item-{item.number:03}" type="imsqti_item_xmlv3p0" href="{_file(item)}">'
        f'<file href="{_file(item)}"/></resource>'
        for item in items
    )
    return (
        f'{_HEAD}<manifest xmlns="http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1" identifier="set">'
        "<metadata><schema>QTI Package</schema><schemaversion>3.0.0</schemaversion></metadata>"
        f"<organizations/><resources>{resources}</resources><!-- {_comment(sheet.title)} --></manifest>"
    )


def _comment(text: str) -> str:
    return escape(text).replace("--", "- -")


def item_xml(item: SheetItem) -> str:
    """Return one assessment item."""
    name = quoteattr(f"{item.number}. {item.task_words}: {item.given.text}"[:250])
    prompt = f"<p>{escape(item.instruction or item.task_words)}: {_maths(item)}</p>"
    body = _choices(item, prompt) if item.choices else _entry(item, prompt)
    return (
        f'{_HEAD}<qti-assessment-item xmlns="{_NS}" identifier="item-{item.number:03}" title={name} '
        f'adaptive="false" time-dependent="false" xml:lang="en">{body}</qti-assessment-item>'
    )


def _maths(item: SheetItem) -> str:
    return maths(item.given)


def _declared(right: str, base: str) -> str:
    return (
        f'<qti-response-declaration identifier="RESPONSE" cardinality="single" base-type="{base}">'
        f"<qti-correct-response><qti-value>{escape(right)}</qti-value></qti-correct-response>"
        "</qti-response-declaration>"
        '<qti-outcome-declaration identifier="SCORE" cardinality="single" base-type="float"/>'
    )


_PROCESSING = '<qti-response-processing template="https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct.xml"/>'


_FEEDBACK = (
    '<qti-response-processing><qti-set-outcome-value identifier="FEEDBACK">'
    '<qti-variable identifier="RESPONSE"/></qti-set-outcome-value><qti-response-condition>'
    '<qti-response-if><qti-match><qti-variable identifier="RESPONSE"/><qti-correct identifier="RESPONSE"/>'
    '</qti-match><qti-set-outcome-value identifier="SCORE"><qti-base-value base-type="float">1'
    "</qti-base-value></qti-set-outcome-value></qti-response-if></qti-response-condition>"
    "</qti-response-processing>"
)
"""The score as above; and the chosen distractor's reason is shown."""


def _choices(item: SheetItem, prompt: str) -> str:
    right = next(choice.letter for choice in item.choices if choice.right)
    feedback = '<qti-outcome-declaration identifier="FEEDBACK" cardinality="single" base-type="identifier"/>'
    choices = "".join(
        f'<qti-simple-choice identifier="{choice.letter}">{maths(choice.math)}'
        + (
            ""
            if choice.right
            else f'<qti-feedback-inline outcome-identifier="FEEDBACK" identifier="{choice.letter}" '
            f'show-hide="show">{escape(f"{choice.name}. {choice.because}".strip())}</qti-feedback-inline>'
        )
        + "</qti-simple-choice>"
        for choice in item.choices
    )
    return (
        f"{_declared(right, 'identifier')}{feedback}<qti-item-body>"
        '<qti-choice-interaction response-identifier="RESPONSE" shuffle="false" max-choices="1">'
        f"<qti-prompt>{prompt}</qti-prompt>{choices}</qti-choice-interaction></qti-item-body>{_FEEDBACK}"
    )


def _entry(item: SheetItem, prompt: str) -> str:
    answer = item.answer.text if item.answer else ""
    return (
        f"{_declared(answer, 'string')}<qti-item-body>{prompt}"
        '<p><qti-text-entry-interaction response-identifier="RESPONSE" expected-length="20"/></p>'
        f"</qti-item-body>{_PROCESSING}"
    )
