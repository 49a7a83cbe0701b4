"""The host of all runs: started once inside bubblewrap, it forks a supervisor for every check, run and trace.

Requests come on descriptor 0 and answers go to descriptor 1, both as
    u32 length of a JSON head, the head, u32 length of a body, the body.
The body of a request is the case's files one after another, then the typed input; the body of an answer
is the used part of the run's memory block (see block.py). A request either has `commands` (see commands.py), or its program
is run inside a fork by the module named on the command line, which stays loaded: a warm interpreter.

This process reads no request and parses no answer: what is forked from it must hold nothing of another job. Each supervisor (supervisor.py)
is forked before its request is there, and makes fresh user, process, mount and ipc namespaces, whose process 1 (first.py) reads the request.
While a job runs, the next one's namespaces are made ready.

    python3 -m bent_nail_sandbox.host [MODULE] [+LATER ...]

The modules with + are loaded here when a job first needs one, so that they are there in every later fork.
"""
import gc
import importlib
import json
import os
import select
import struct
import sys
import traceback

from .namespaces import step_back
from .supervisor import supervise, write_all


def keep_warm():
    """Everything that is loaded so far is left alone by the collector, and so its pages stay shared with the forks."""
    gc.collect()
    gc.freeze()


def be_a_supervisor(program, later, report):
    """Serves one job and never returns."""
    code = 1
    try:
        code = 0 if supervise(program, lambda: os.write(report, b"\0"), lambda name: os.write(report, bytes([later.index(name) + 1]))) else 3
    except BaseException:
        os.write(2, traceback.format_exc().encode("utf-8", "replace"))
    finally:
        os._exit(code)


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
    step_back()
    taken, report = os.pipe()
    watch = select.poll()
    watch.register(taken, select.POLLIN)
    supervisors = {}
    keep_warm()
    while True:
        pid = os.fork()
        if pid == 0:
            os.close(taken)
            be_a_supervisor(program, later, report)
        descriptor = os.pidfd_open(pid)
        supervisors[descriptor] = pid
        watch.register(descriptor, select.POLLIN)
        is_taken = False
        while not is_taken:
            for ready_one, _ in watch.poll():
                if ready_one == taken:
                    # One byte: 0 says that a request has been read, else it is the number of a module that a job had to load itself.
                    number = os.read(taken, 1)[0]
                    is_taken = is_taken or number == 0
                    if number and later[number - 1] not in sys.modules:
                        importlib.import_module(later[number - 1])
                        keep_warm()
                    continue
                watch.unregister(ready_one)
                os.close(ready_one)
                _, status = os.waitpid(supervisors.pop(ready_one), 0)
                if status != 0:
                    # Nobody asks any longer (3), or a supervisor broke: then whoever asked gets a fresh sandbox.
                    os._exit(0 if os.WIFEXITED(status) and os.WEXITSTATUS(status) == 3 else 1)


if __name__ == "__main__":
    main()
