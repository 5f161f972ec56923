"""Side work: what stands beside a line on a board, computed and held true."""
