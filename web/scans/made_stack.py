"""A scanned stack, made by ourselves: printed handouts that were written on, shuffled, turned, one torn."""

import io
from random import Random
from typing import Any

import pypdfium2
from giving.writers.paper import pdf
from papers.models import Sitting
from PIL import Image, ImageDraw

from scans.handouts import handouts

Written = dict[str, dict[int, list[str]]]
"""By code and item: the lines."""
LONG_SIDE = 1600
"""Pixels of a page, as a scanner at 140 dots to an inch gives them."""
_TORN = (0.78, 0.0, 1.0, 0.14)
"""The corner with the mark, as shares of the page."""


def made_stack(sitting: Sitting, written: Written, seed: int = 1, torn: int = 1) -> bytes:
    """Return a PDF of pictures: the copies of those who wrote something, in no order, some upside down.

    *torn*: of so many pages the corner with the mark is gone.
    """
    chance = Random(seed)
    sheets = [sheet for sheet in handouts(sitting, "a4", "lines", written) if sheet.code in written]
    with pypdfium2.PdfDocument(pdf(sheets)) as document:
        pages = [_scanned(page, chance) for page in document]
    chance.shuffle(pages)
    for page in pages[:torn]:
        width, height = page.size
        left, top, right, bottom = _TORN
        corner = (left * width, top * height, right * width, bottom * height)
        ImageDraw.Draw(page).rectangle(corner, fill=235)
    turned = [page.rotate(chance.choice((0, 0, 0, 90, 180)), expand=True) for page in pages]
    out = io.BytesIO()
    turned[0].save(out, "PDF", save_all=True, append_images=turned[1:], resolution=140, quality=50)
    return out.getvalue()


def _scanned(page: Any, chance: Random) -> Image.Image:
    """Return a page as a scanner sees it: grey, a little askew."""
    drawn = page.render(scale=LONG_SIDE / max(page.get_size()), grayscale=True).to_pil()
    grey: Image.Image = drawn.convert("L").point(lambda value: 30 + value * 7 // 8)
    return grey.rotate(chance.uniform(-1.5, 1.5), Image.Resampling.BICUBIC, fillcolor=235)
