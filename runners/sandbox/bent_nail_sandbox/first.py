"""Process 1 of a job's namespaces: it makes them private, reads the job's request itself, and runs the program.

What comes before the request is read has seen no job at all, and what comes after it sees no other: neither the program nor anything that
it could look into holds more than this one request. Signals from inside have no effect here: none has a handler.
"""
import fcntl
import json
import mmap
import os
import signal
import struct
import traceback

from . import commands
from .block import append_frame, start_block
from .effects import effects
from .filters import refuse
from .namespaces import FOLDER, drop_rights, mount_folders, mount_private, put
from .tries import make_scratch, run_tries

BLOCK_BASE = 16 << 20
ADD_SEALS, SEALS = 1033, 1 | 2 | 4  # no further seals, not smaller, not larger (fcntl.h)


def read_exactly(size):
    """Bytes of descriptor 0. Ends this process where there are no more: nobody asks any longer."""
    parts = []
    while size:
        part = os.read(0, min(size, 1 << 20))
        if not part:
            os._exit(0)
        parts.append(part)
        size -= len(part)
    return b"".join(parts)


def read_request():
    """The next request (see host.py), with what follows from it."""
    head = json.loads(read_exactly(struct.unpack("<I", read_exactly(4))[0]))
    body = read_exactly(struct.unpack("<I", read_exactly(4))[0])
    files = {}
    order = []
    position = 0
    for name, size in head["files"]:
        files[name] = body[position:position + size]
        order.append(name)
        position += size
    if "tries" in head:
        tries = []
        for main_size, input_size in head["tries"]:
            tries.append({"main": body[position:position + main_size], "input": body[position + main_size:position + main_size + input_size]})
            position += main_size + input_size
        head["tries"] = tries
    head.update(files=files, order=order, input=body[position:], folder=FOLDER, outputLimit=head["limits"]["outputBytes"],
                stepLimit=head["limits"]["steps"])
    # The block holds the console, and for a trace the steps; memory that is not touched is not used.
    head["limits"]["blockBytes"] = BLOCK_BASE + head["limits"]["outputBytes"] * 16 + (head["limits"]["steps"] * 2000 if head["mode"] == "trace" else 0)
    return head


def numbers_of(request):
    """What the host must know of a request: how it is limited. No text of it."""
    by_commands = request.get("commands")
    return {"mode": request["mode"], "limits": request["limits"], "byCommands": by_commands is not None,
            "buildLimits": by_commands["buildLimits"] if by_commands and by_commands["build"] else None}


def write_files(files, order):
    for name in order:
        # A name with its whole path is something of ours that lies outside the case's folder, such as a program that is built already.
        path = os.path.join(FOLDER, name)
        os.makedirs(os.path.dirname(path), exist_ok=True)
        with open(path, "wb") as target:
            target.write(files[name])
        if os.path.isabs(name):
            os.chmod(path, 0o700)


def be_the_program(program, request, block, out, err):
    """The student's process inside a warm interpreter: streams in place, rights gone, then the program. Never returns."""
    code = 70
    try:
        signal.signal(signal.SIGINT, signal.default_int_handler)
        os.chdir(FOLDER)
        typed = os.open("/tmp/.typed", os.O_RDWR | os.O_CREAT, 0o600)
        os.unlink("/tmp/.typed")
        if request["input"]:
            os.write(typed, request["input"])
            os.lseek(typed, 0, 0)
        os.dup2(typed, 0)
        os.dup2(out, 1)
        os.dup2(err, 2)
        os.closerange(3, 1024)
        try:
            put("/proc/self/oom_score_adj", "1000")
        except OSError:
            pass
        scratch = make_scratch(request) if "tries" in request else None
        drop_rights(request["limits"])
        refuse()
        code = program.run(request, block) if scratch is None else run_tries(program, request, block, scratch)
    except BaseException:
        os.write(2, traceback.format_exc().encode("utf-8", "replace"))
    finally:
        os._exit(code)


def run_inside(program, request, block, out, err):
    """Runs the program in a fork of this process; returns its wait status."""
    student = os.fork()
    if student == 0:
        be_the_program(program, request, block, out, err)
    os.close(out)
    os.close(err)
    while True:
        pid, status = os.wait()
        if pid == student:
            break
    commands.kill_everything()
    if "tries" in request:
        return status
    try:
        append_frame(block, b"F", json.dumps(effects(FOLDER, request["files"])).encode())
    except (struct.error, ValueError):
        pass  # the program has scribbled over the block
    return status


def be_the_first(program, memory, out, err, channel):
    """Never returns. Tells the host by `channel`: "#" and the request's numbers, "+" when the program begins after a build, then "=" and a wait
    status, or "!" if something went wrong with the sandbox itself (the words are in the block)."""
    block = None
    try:
        # What is open of another job is none of this one's business.
        low = 3
        for descriptor in sorted((memory, out, err, channel.fileno())):
            os.closerange(low, descriptor)
            low = descriptor + 1
        os.closerange(low, 1024)
        signal.signal(signal.SIGINT, signal.SIG_DFL)
        mount_private()
        request = read_request()
        # Numbers 0 to 2 stay taken, so that nothing else gets one of them by chance.
        nothing = os.open("/dev/null", os.O_RDWR)
        for descriptor in (0, 1):
            os.dup2(nothing, descriptor)
        os.close(nothing)
        size = request["limits"]["blockBytes"]
        os.ftruncate(memory, size)
        fcntl.fcntl(memory, ADD_SEALS, SEALS)
        block = mmap.mmap(memory, size)
        os.close(memory)
        start_block(block)
        channel.send(b"#" + json.dumps(numbers_of(request)).encode())
        mount_folders(request["limits"]["fileBytes"])
        os.chdir(FOLDER)
        write_files(request["files"], request["order"])
        if "commands" in request:
            commands.run_commands(request, block, channel)
            status = 0
        else:
            status = run_inside(program, request, block, out, err)
        channel.send(b"=%d" % status)
        os._exit(0)
    except BaseException:
        told = traceback.format_exc().encode("utf-8", "replace")[-4000:]
        if block is None:
            channel.send(b"!" + told)
        else:
            # It may speak of the request, so it goes to the server by the block.
            append_frame(block, b"W", told)
            channel.send(b"!")
    finally:
        os._exit(71)
