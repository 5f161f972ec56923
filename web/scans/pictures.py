"""Pages of a scanned file as upright grey pictures, with the marks on them.

It runs in a worker process that can be ended: no Django here. A file is looked at before it is opened,
a page is never drawn larger than it will be looked at.
"""

import io
from dataclasses import dataclass

import pypdfium2
import zxingcpp
from PIL import Image, ImageFilter, UnidentifiedImageError

MOST_PAGES = 400
LONG_SIDE = 2000
"""Pixels in which marks are looked for: about 170 to an inch of A4."""
KEPT_SIDE = 1500
"""Pixels of the picture that is kept."""
MOST_PIXELS = 60_000_000
MOST_POINTS = 7200
"""The longest side of a PDF page, in points: a hundred inches."""


TRIES = ((1.0, 0.0), (1.5, 1.5), (2.0, 2.0), (1.0, 1.0), (0.75, 0.0))
"""A mark is looked for in the page as it is, then larger or smaller, and softer (radius in pixels): what a
scanner or its compression made of the edges is evened out."""
_MARKS = zxingcpp.BarcodeFormats(zxingcpp.BarcodeFormat.QRCode)


class NoPages(Exception):
    """The file has no pages that can be shown; says why."""


@dataclass(frozen=True, slots=True)
class Picture:
    """A page upright as JPEG, and the texts of the marks on it."""

    jpeg: bytes
    marks: tuple[str, ...]


def count_pages(content: bytes) -> int | str:
    """Return how many pages a file has, or a sentence that says why it has none."""
    try:
        if _is_pdf(content):
            with pypdfium2.PdfDocument(content) as document:
                return _bounded(len(document))
        _image(content)
    except NoPages as none:
        return str(none)
    except Exception:  # whatever the library meets in a broken file: nothing of it is used
        return "It is not a PDF document and not a picture that can be opened."
    return 1


def _bounded(pages: int) -> int:
    if not 0 < pages <= MOST_PAGES:
        raise NoPages(f"It has {pages} pages; at most {MOST_PAGES} are cut at once.")
    return pages


def pictures(content: bytes, first: int, last: int) -> list[Picture | None]:
    """Return the pages from *first* up to *last* (from 0, exclusive); None where one cannot be drawn."""
    return [_picture(content, number) for number in range(first, last)]


def _picture(content: bytes, number: int) -> Picture | None:
    try:
        drawn = _drawn(content, number) if _is_pdf(content) else _image(content)
        found = _marks(drawn)
    except Exception:  # a broken page is no reason to lose the others
        return None
    turns = round(found[0].orientation / 90) % 4 if found else 0
    upright = drawn.rotate(90 * turns, expand=True) if turns else drawn
    return Picture(as_jpeg(upright), tuple(one.text for one in found))


def _marks(page: Image.Image) -> list[zxingcpp.Barcode]:
    for size, softness in TRIES:
        width, height = (round(side * size) for side in page.size)
        tried = page.resize((width, height), Image.Resampling.LANCZOS) if size != 1 else page
        if softness:
            tried = tried.filter(ImageFilter.GaussianBlur(softness))
        if found := zxingcpp.read_barcodes(tried, formats=_MARKS):
            return list(found)
    return []


def turned(jpeg: bytes, degrees: int) -> bytes:
    """Return a picture turned clockwise by a multiple of 90 degrees."""
    with Image.open(io.BytesIO(jpeg)) as image:
        return as_jpeg(image.rotate(-degrees, expand=True))


def as_jpeg(image: Image.Image) -> bytes:
    """Return a picture as it is kept."""
    small = image.convert("L")
    small.thumbnail((KEPT_SIDE, KEPT_SIDE))
    out = io.BytesIO()
    small.save(out, "JPEG", quality=55, optimize=True)
    return out.getvalue()


def _is_pdf(content: bytes) -> bool:
    return b"%PDF-" in content[:1024]


def _drawn(content: bytes, number: int) -> Image.Image:
    with pypdfium2.PdfDocument(content) as document:
        page = document[number]
        long_side = max(page.get_size())
        if not 0 < long_side <= MOST_POINTS:
            raise NoPages("The page is too large.")
        drawn: Image.Image = page.render(scale=LONG_SIDE / long_side, grayscale=True).to_pil()
        return drawn.convert("L")


def _image(content: bytes) -> Image.Image:
    try:
        image = Image.open(io.BytesIO(content), formats=("PNG", "JPEG", "TIFF"))
    except UnidentifiedImageError:
        raise NoPages("It is not a PDF document and not a picture (PNG, JPEG, TIFF).") from None
    if image.width * image.height > MOST_PIXELS:
        raise NoPages(f"The picture has more than {MOST_PIXELS // 1_000_000} million pixels.")
    grey = image.convert("L")
    grey.thumbnail((LONG_SIDE, LONG_SIDE))
    return grey
