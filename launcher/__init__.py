"""Setting up, starting and testing Uchuu on one machine. Only the standard library is used."""
