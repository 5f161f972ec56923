"""Working a problem: lines by a method, the answer, and its check in the original."""
