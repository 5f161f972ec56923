"""The next step, at three depths: what to notice, which law, the line."""
