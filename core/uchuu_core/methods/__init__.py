"""Methods: orders in which laws are tried, each a school of working."""
