"""A second factor: numbers of an authenticator (TOTP, RFC 6238) and recovery codes, kept by django-otp."""

import io
import secrets
from base64 import b32encode

import segno
from django.contrib.auth.models import User
from django.db import transaction
from django_otp.plugins.otp_static.models import StaticDevice, StaticToken
from django_otp.plugins.otp_totp.models import TOTPDevice

RECOVERY_CODES = 10


def has_one(teacher: User) -> bool:
    """Return whether the teacher is asked for a number when signing in."""
    return bool(TOTPDevice.objects.filter(user=teacher, confirmed=True).exists())


def codes_left(teacher: User) -> int:
    """Return how many recovery codes were not used yet."""
    return int(StaticToken.objects.filter(device__user=teacher).count())


def begin(teacher: User) -> tuple[str, str]:
    """Make a new secret that is not asked for yet; return it to be typed, and as the picture of a QR code (SVG)."""
    TOTPDevice.objects.filter(user=teacher, confirmed=False).delete()
    device = TOTPDevice.objects.create(user=teacher, name="authenticator", confirmed=False)
    picture = io.BytesIO()
    segno.make(device.config_url, error="m").save(picture, kind="svg", scale=4, xmldecl=False)
    return b32encode(device.bin_key).decode().rstrip("="), picture.getvalue().decode()


@transaction.atomic
def confirm(teacher: User, number: str) -> list[str] | None:
    """Ask for numbers from now on, if *number* is the right one; return new recovery codes, None if it is not."""
    device = TOTPDevice.objects.select_for_update().filter(user=teacher, confirmed=False).first()
    if device is None or not device.verify_token(number):
        return None
    TOTPDevice.objects.filter(user=teacher, confirmed=True).delete()
    device.confirmed = True
    device.save()
    return new_codes(teacher)


def new_codes(teacher: User) -> list[str]:
    """Return new recovery codes; older ones are good for nothing any more."""
    StaticDevice.objects.filter(user=teacher).delete()
    kept = StaticDevice.objects.create(user=teacher, name="recovery")
    codes = [f"{secrets.token_hex(3)}-{secrets.token_hex(2)}" for _ in range(RECOVERY_CODES)]
    StaticToken.objects.bulk_create(StaticToken(device=kept, token=code) for code in codes)
    return codes


@transaction.atomic
def is_right(teacher: User, number: str) -> bool:
    """Return whether *number* is the authenticator's now, and not used before, or a recovery code, used up here.

    After wrong numbers the next one is looked at only after a while that doubles (django-otp).
    """
    number = number.strip().lower()
    kind = StaticDevice if "-" in number else TOTPDevice
    device = kind.objects.select_for_update().filter(user=teacher, confirmed=True).first()
    return device is not None and bool(device.verify_token(number.replace(" ", "")))


def waits(teacher: User) -> bool:
    """Return whether numbers are not looked at for a while, after wrong ones."""
    device = TOTPDevice.objects.filter(user=teacher, confirmed=True).first()
    return device is not None and not device.verify_is_allowed()[0]


def drop(teacher: User) -> None:
    """Ask for no number any more."""
    TOTPDevice.objects.filter(user=teacher).delete()
    StaticDevice.objects.filter(user=teacher).delete()
