"""Runs, checks and records Python programs for Bent Nail. Standard library only, CPython 3.8 to 3.14."""
