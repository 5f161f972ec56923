"""PostgreSQL as Django speaks to it, with a cheaper look whether a kept connection still stands."""
