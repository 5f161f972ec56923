"""Accounts beside Django's: who somebody is in the school, where they are signed in, what was done to an account."""

from django.conf import settings
from django.db import models


class SignedIn(models.Model):
    """One session of a teacher; the session itself is Django's."""

    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="signed_in"
    )
    session = models.CharField(max_length=40, unique=True)
    browser = models.CharField(max_length=200, blank=True)
    """What the browser says it is."""
    since = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-since"]

    def __str__(self) -> str:
        return f"{self.teacher_id} since {self.since:%Y-%m-%d}"


class Department(models.Model):
    """Colleagues who read and copy what the others share."""

    title = models.CharField(max_length=100, unique=True)

    class Meta:
        ordering = ["title"]

    def __str__(self) -> str:
        return self.title


class Person(models.Model):
    """What is known of a teacher besides name, password and mail address; absent: a teacher like any other."""

    teacher = models.OneToOneField(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="person"
    )
    department = models.ForeignKey(
        Department, on_delete=models.SET_NULL, null=True, blank=True, related_name="people"
    )
    is_administrator = models.BooleanField(default=False)
    """Whether they keep the school's accounts; what others work on they never see."""
    subject = models.CharField(max_length=500, null=True, unique=True)
    """Issuer and subject at the school's own sign-in; None while it is not connected."""
    leaves = models.DateTimeField(null=True, blank=True)
    """When the account is really deleted."""
    exported = models.DateTimeField(null=True, blank=True)
    """When everything of theirs was last kept as a file."""
    reset_sent = models.DateTimeField(null=True, blank=True)
    """When a link for a new password was last sent."""

    def __str__(self) -> str:
        return str(self.teacher_id)


class Invitation(models.Model):
    """A link with which somebody makes their account, once; only its digest is kept."""

    digest = models.CharField(max_length=64, unique=True)
    mail = models.EmailField(blank=True)
    department = models.ForeignKey(Department, on_delete=models.SET_NULL, null=True, blank=True)
    is_administrator = models.BooleanField(default=False)
    made_by = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.SET_NULL, null=True)
    expires = models.DateTimeField()
    used = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering = ["-expires"]

    def __str__(self) -> str:
        return f"until {self.expires:%Y-%m-%d}"


class AuditEntry(models.Model):
    """Something that was done to an account, or taken out of it; its owner reads it, nobody changes it."""

    teacher = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="audit"
    )
    says = models.CharField(max_length=300)
    by = models.CharField(max_length=150)
    """Who did it, by the name of then."""
    address = models.GenericIPAddressField(null=True)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-at", "-id"]
        indexes = [models.Index(fields=["teacher", "-at", "-id"])]

    def __str__(self) -> str:
        return self.says
