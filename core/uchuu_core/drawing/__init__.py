"""What a hand draws on lines: marks, as data; and side work beside them."""
