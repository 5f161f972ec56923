"""Where students leave the line: forks, choices from them, planted mistakes, what an exercise reveals."""
