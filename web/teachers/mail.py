"""Mail to teachers: short, plain, sent by the school's own server."""

import logging
import smtplib

from django.conf import settings
from django.core.mail import send_mail

log = logging.getLogger("uchuu.mail")


def send(to: str, subject: str, text: str) -> bool:
    """Send a mail; return whether the mail server took it. What went wrong is logged, without address or text."""
    if not settings.SENDS_MAIL:
        return False
    try:
        send_mail(f"Uchuu: {subject}", f"{text}\n\n{settings.SITE}\n", None, [to])
    except (OSError, smtplib.SMTPException) as wrong:
        log.error("mail was not sent: %s", type(wrong).__name__)
        return False
    return True
