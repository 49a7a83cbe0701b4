"""Many small variants of one program in one job: a search tries them one after another in namespaces of its own.

All of it happens in one process without rights, which reads the variants that the translator refuses itself and hands each of the others to a
fork. That runs one after another as long as none of them leaves anything that the next one would feel, and is ended and made anew where one
does. Every try writes into a block of its own; what it leaves behind (processes, files) is gone before the next one begins. What a try can
reach are the other tries of the same search, so what it seems to show is always shown again by a run of its own before anybody relies on it.
"""
import json
import mmap
import os
import select
import shutil
import signal
import struct
import time
import traceback

from .block import LENGTH, append_frame, start_block
from .effects import effects
from .namespaces import FOLDER, libc, must
from .own_time import OwnTime

# How it ended (0 by itself, 1 its time was over, 2 output that went past the streams, 3 refused and only its line is told), its wait status or
# that line, milliseconds.
TRY = struct.Struct("<iId")
POLL = 0.02
TICK = os.sysconf("SC_CLK_TCK")
ELSEWHERE = ("/tmp", "/dev/shm")
ENDED, TIME, RAW, REFUSED = 0, 1, 2, 3
PROGRESS = struct.Struct("<II")
UNCLEAN = 99
PR_SET_CHILD_SUBREAPER = 36


class NotClean(Exception):
    """Something of a try is left that cannot be taken away: no other one may follow."""


def make_scratch(request):
    """The block of one try, with what its maker tells at its end; to be made before anonymous memory that is shared is refused."""
    return mmap.mmap(-1, (2 << 20) + request["limits"]["outputBytes"] * 16)


def others():
    """{pid: fields of its stat from the state on} of everything in the namespace but process 1 and this one."""
    found = {}
    own = (1, os.getpid())
    for name in os.listdir("/proc"):
        if name.isdigit() and int(name) not in own:
            try:
                with open("/proc/%s/stat" % name, "rb") as source:
                    found[int(name)] = source.read().rpartition(b")")[2].split()
            except OSError:
                continue
    return found


def put_back(files, changed):
    """Makes the folders again what they were before a try."""
    for each in changed:
        path = os.path.join(FOLDER, each["name"])
        if each["change"] == "new":
            os.unlink(path)
        else:
            os.makedirs(os.path.dirname(path), exist_ok=True)
            with open(path, "wb") as target:
                target.write(files[each["name"]])
    given = {os.path.dirname(name).split("/")[0] for name in files}
    for name in os.listdir(FOLDER):
        if name not in files and name not in given:
            shutil.rmtree(os.path.join(FOLDER, name))
    for folder in ELSEWHERE:
        for name in os.listdir(folder):
            path = os.path.join(folder, name)
            if path == "/tmp/case":
                continue
            shutil.rmtree(path) if os.path.isdir(path) and not os.path.islink(path) else os.unlink(path)
    if effects(FOLDER, files):
        raise NotClean()


def keep(block, scratch, number, how, status, milliseconds):
    """Copies what a try left in its block; False if there is no room for it. Nothing in it is trusted."""
    used = min(LENGTH.unpack_from(scratch, 0)[0], len(scratch))
    return append_frame(block, b"P", TRY.pack(how, status, milliseconds) + scratch[:used], number + 1)


def unnamed():
    """The descriptor of an empty file without a name."""
    descriptor = os.open("/tmp/.stream", os.O_RDWR | os.O_CREAT | os.O_EXCL, 0o600)
    os.unlink("/tmp/.stream")
    return descriptor


def overwrite(descriptor, data):
    """A file as it is to be, read from its start."""
    os.pwrite(descriptor, data, 0)
    os.ftruncate(descriptor, len(data))
    os.lseek(descriptor, 0, os.SEEK_SET)


def is_alone():
    """True if nothing that was started below this process is left, orphans included."""
    try:
        os.waitpid(-1, os.WNOHANG)
        return False
    except ChildProcessError:
        return True


def be_the_runner(program, request, number, block, scratch, streams):
    """Tries one variant after another from a number on, as long as nothing of one can be felt by the next. Never returns. For whoever watches
    the end of its block says which one is tried and which one is kept (their numbers + 1)."""
    code = UNCLEAN
    try:
        for place, descriptor in enumerate(streams):
            os.dup2(descriptor, place)
        must(libc.prctl(PR_SET_CHILD_SUBREAPER, 1, 0, 0, 0), "subreaper")
        signal.signal(signal.SIGINT, signal.default_int_handler)
        file = os.open(os.path.join(FOLDER, request["main"]), os.O_RDWR | os.O_CREAT, 0o600)
        state = program.state_of()
        known = {}
        was_refused = False
        folder = set(os.listdir(FOLDER))
        for number in range(number, len(request["tries"])):
            variant = request["tries"][number]
            begun = time.monotonic()
            start_block(scratch)
            PROGRESS.pack_into(scratch, len(scratch) - PROGRESS.size, number + 1, 0)
            # What follows one that was refused is so too, as a rule.
            line = program.refused_at(variant["main"], known) if was_refused else None
            if line is None:
                # A translator may look into the file for what it says.
                overwrite(file, variant["main"])
                files = {**request["files"], request["main"]: variant["main"]}
                one = {**request, "files": files, "input": variant["input"]}
                translated = program.check(files, request["order"])
                line = program.refused_line(one, translated)
            was_refused = request["linesOnly"] and line is not None
            if was_refused:
                if not append_frame(block, b"P", TRY.pack(REFUSED, line, 0.0), number + 1):
                    break
                PROGRESS.pack_into(scratch, len(scratch) - PROGRESS.size, number + 1, number + 1)
                continue
            how = ENDED
            goes_on = True
            if line is not None:
                program.refuses(one, translated, scratch)
                exit_code = 1
            else:
                overwrite(0, variant["input"])
                exit_code = program.run(one, scratch, translated)
                goes_on = program.clear_away(state, FOLDER) and is_alone()
                if os.fstat(1).st_size:
                    how = RAW
                    os.ftruncate(1, 0)
                changed = effects(FOLDER, files)
                if changed or set(os.listdir(FOLDER)) != folder or len(os.listdir("/tmp")) > 1 or os.listdir("/dev/shm"):
                    append_effects(scratch, changed)
                    goes_on = False
            if not keep(block, scratch, number, how, exit_code << 8, (time.monotonic() - begun) * 1000):
                break
            PROGRESS.pack_into(scratch, len(scratch) - PROGRESS.size, number + 1, number + 1)
            if not goes_on:
                # What is left is cleared away by whoever watches.
                code = ENDED
                break
        else:
            code = ENDED
    except BaseException:
        os.write(2, traceback.format_exc().encode("utf-8", "replace"))
    finally:
        os._exit(code)


def watch_over(runner, scratch, seconds, wall_seconds):
    """(how it ended, wait status, seconds of its last try) of a runner, when nothing that it started is left: by itself, or since a try took
    too long."""
    descriptor = os.pidfd_open(runner)
    watch = select.poll()
    watch.register(descriptor, select.POLLIN)
    number, since = 0, time.monotonic()
    how = ENDED
    while not watch.poll(POLL * 1000):
        now = time.monotonic()
        processes = others()
        cpu = sum(int(value) for fields in processes.values() for value in fields[11:15]) / TICK
        at = PROGRESS.unpack_from(scratch, len(scratch) - PROGRESS.size)[0]
        if at != number:
            number, since, cpu_before, own_time = at, now, cpu, OwnTime(now, cpu)
        own_time.look(now, cpu, processes)
        if cpu - cpu_before > seconds or own_time.is_over(now, wall_seconds):
            how = TIME
            break
    os.close(descriptor)
    try:
        os.kill(-1, signal.SIGKILL)
    except OSError:
        pass
    status = os.waitpid(runner, 0)[1]
    for _ in range(1000):
        if not others():
            return how, status, time.monotonic() - since
        time.sleep(0.001)
    raise NotClean()


def run_tries(program, request, block, scratch):
    """Tries every variant of request["tries"], a list of {main: bytes, input: bytes}; one frame P each, its number + 1 in the place of a line.
    Ends early where the block is full or a try cannot be cleared away. Returns an exit code."""
    typed, aside = unnamed(), unnamed()
    first = 0
    while first < len(request["tries"]):
        os.ftruncate(aside, 0)
        start_block(scratch)
        PROGRESS.pack_into(scratch, len(scratch) - PROGRESS.size, first + 1, 0)
        runner = os.fork()
        if runner == 0:
            be_the_runner(program, request, first, block, scratch, (typed, aside, aside))
        try:
            how, status, seconds = watch_over(runner, scratch, request["trySeconds"], request["tryWallSeconds"])
            started, kept = PROGRESS.unpack_from(scratch, len(scratch) - PROGRESS.size)
            if not first < started <= len(request["tries"]) or status == UNCLEAN << 8:
                return 0
            files = {**request["files"], request["main"]: request["tries"][started - 1]["main"]}
            changed = effects(FOLDER, files)
            if kept != started:
                append_effects(scratch, changed)
                how = RAW if how == ENDED and os.fstat(aside).st_size else how
                if not keep(block, scratch, started - 1, how, status, seconds * 1000):
                    return 0
            put_back(files, changed)
        except (OSError, NotClean):
            return 0
        first = started
    return 0


def append_effects(scratch, changed):
    """What a try left in the folder; a block that it has scribbled over stays as it is."""
    try:
        append_frame(scratch, b"F", json.dumps(changed).encode())
    except (struct.error, ValueError):
        pass
