"""Starts a program under the filter of system calls that every student's program has. The debugger that starts it must itself be without.

    python3 -S start_guarded.py PROGRAM
"""
import os
import sys

sys.path.insert(0, "/runner")
from bent_nail_sandbox.filters import refuse  # noqa: E402

refuse()
os.execv(sys.argv[1], sys.argv[1:])
