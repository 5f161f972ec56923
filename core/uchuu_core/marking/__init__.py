"""What an item's marks are for, and which of them a paper has earned, with reasons."""
