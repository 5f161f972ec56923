"""Small stand-ins for services that a school has: its sign-in (OpenID Connect), its mail. They know nothing of the rest."""
