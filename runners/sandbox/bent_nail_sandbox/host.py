"""The host of all runs: started once inside bubblewrap, it forks for every check, run and trace.

Requests come on descriptor 0 and answers go to descriptor 1, both as
    u32 length of a JSON head, the head, u32 length of a body, the body.
The body of a request is the case's files one after another, then the typed input; the body of an answer is the used part of the run's memory
block (see block.py; `blockBytes` of the head), then raw output that went past it. A request either has `commands` (see commands.py), or its
program is run inside a fork by the module named on the command line, which stays loaded: a warm interpreter.

This process reads no request and parses no answer: what is forked from it must hold nothing of another job. It makes fresh user, process, mount
and ipc namespaces before a request is there; process 1 in them (first.py) reads it. While a job runs, the next one's namespaces are made ready.

    python3 -m bent_nail_sandbox.host [MODULE] [+LATER ...]

The modules with + are loaded here when a job first needed one, so that they are there in every later fork.
"""
import gc
import importlib
import json
import os
import struct
import sys
import time
import traceback

from .namespaces import step_back
from .supervisor import Job, Prepared, write_all


def keep_warm():
    """Everything that is loaded so far is left alone by the collector, and so its pages stay shared with the forks."""
    gc.collect()
    gc.freeze()


def serve(program, later):
    """Serves one job after another until nobody asks any longer."""
    prepared = Prepared(program)
    while True:
        numbers = prepared.numbers()
        if numbers is None:
            return
        job = Job(prepared, numbers)
        following = Prepared(program)
        job.go()
        job.answer()
        prepared.close()
        prepared = following
        for name in job.wanted:
            if name in later and name not in sys.modules:
                importlib.import_module(name)
                keep_warm()


def main():
    os.umask(0o077)
    program = None
    later = []
    for name in sys.argv[1:]:
        if name.startswith("+"):
            later.append(name[1:])
        else:
            program = importlib.import_module(name)
    ready = json.dumps({"ready": True, "version": "CPython " + sys.version.split()[0]}).encode()
    write_all(struct.pack("<I", len(ready)) + ready + struct.pack("<I", 0))
    step_back.go_on(time.monotonic())
    keep_warm()
    try:
        serve(program, later)
    except BaseException:
        # Whoever asked gets a fresh sandbox.
        os.write(2, traceback.format_exc().encode("utf-8", "replace"))
        os._exit(1)


if __name__ == "__main__":
    main()
