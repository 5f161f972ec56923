"""One sheet, several writers."""
