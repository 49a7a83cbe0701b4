"""The host of all runs: started once inside bubblewrap, it forks for every check, run and trace.

Reads requests from descriptor 0 and writes answers to descriptor 1, both as
    u32 length of a JSON head, the head, u32 length of a body, the body.
The body of a request is the case's files one after another, then the typed input; the body of an answer
is the used part of the run's memory block (see block.py). A request either has `commands` (see commands.py), or its program
is run inside the fork itself by the module named on the command line, which stays loaded: a warm interpreter.

Every fork lives in its own user, process, mount and ipc namespaces with a fresh /proc, /tmp, /dev/shm and case
folder, has no rights and cannot make further namespaces. This process counts CPU time, memory and
processes over everything the fork started and kills it all when a limit is passed or the run is over.
"""
import gc
import importlib
import json
import mmap
import os
import select
import signal
import struct
import sys
import time
import traceback

from . import commands
from .block import append_frame
from .effects import effects
from .namespaces import FOLDER, drop_rights, fork_into_namespaces, mount_private, put

BLOCK_BASE = 16 << 20
POLL = 0.02
PAGE = os.sysconf("SC_PAGE_SIZE")
TICK = os.sysconf("SC_CLK_TCK")
SELF = os.getpid()


def write_files(files, order):
    for name in order:
        # A name with its whole path is something of ours that lies outside the case's folder, such as a program that is built already.
        path = os.path.join(FOLDER, name)
        os.makedirs(os.path.dirname(path), exist_ok=True)
        with open(path, "wb") as target:
            target.write(files[name])
        if os.path.isabs(name):
            os.chmod(path, 0o700)


def be_the_program(request, block, out, err):
    """The student's process: streams in place, rights gone, then the program. Never returns."""
    code = 70
    try:
        os.chdir(FOLDER)
        write_files(request["files"], request["order"])
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
        drop_rights(request["limits"])
        code = request["program"].run(request, block)
    except BaseException:
        os.write(2, traceback.format_exc().encode("utf-8", "replace"))
    finally:
        os._exit(code)


def be_the_first(request, block, out, err, report):
    """Process 1 of the namespace: starts the program, collects orphans, tells how the program ended."""
    try:
        mount_private(request["limits"]["fileBytes"])
        if "commands" in request:
            os.chdir(FOLDER)
            write_files(request["files"], request["order"])
            commands.run_commands(request, block, report)
            os.write(report, b"=0")
            os._exit(0)
        student = os.fork()
        if student == 0:
            os.close(report)
            be_the_program(request, block, out, err)
        os.close(out)
        os.close(err)
        while True:
            pid, status = os.wait()
            if pid == student:
                try:
                    append_frame(block, b"F", json.dumps(effects(FOLDER, request["files"])).encode())
                except (struct.error, ValueError):
                    pass  # the program has scribbled over the block
                os.write(report, b"=%d" % status)
                os._exit(0)
    except BaseException:
        os.write(report, b"!" + traceback.format_exc().encode("utf-8", "replace"))
    finally:
        os._exit(71)


def others():
    """Everything that runs here besides this process and bubblewrap's own first process."""
    return [int(name) for name in os.listdir("/proc") if name.isdigit() and int(name) not in (1, SELF)]


def measure():
    """(CPU seconds, bytes of memory, processes) of everything that the fork started."""
    ticks = pages = processes = 0
    for pid in others():
        try:
            with open("/proc/%d/stat" % pid, "rb") as source:
                fields = source.read().rpartition(b")")[2].split()
            ticks += sum(int(value) for value in fields[11:15])
            with open("/proc/%d/statm" % pid, "rb") as source:
                resident, shared = source.read().split()[1:3]
            pages += int(resident) - int(shared)
            processes += 1
        except (OSError, ValueError, IndexError):
            continue
    return ticks / TICK, pages * PAGE, processes


def proportional_memory():
    """Bytes of memory of everything the fork started, pages that forks share counted once; None where that cannot be read."""
    total = 0
    for pid in others():
        try:
            with open("/proc/%d/smaps_rollup" % pid, "rb") as source:
                for line in source:
                    if line.startswith(b"Pss:"):
                        total += int(line.split()[1]) * 1024
        except PermissionError:
            return None
        except OSError:
            continue
    return total


def kill_all():
    """Kills everything the fork started and waits until it is gone."""
    for _ in range(2000):
        left = others()
        if not left:
            return
        for pid in left:
            try:
                os.kill(pid, signal.SIGKILL)
            except OSError:
                pass
        try:
            while os.waitpid(-1, os.WNOHANG)[0]:
                pass
        except ChildProcessError:
            pass
        time.sleep(0.0005)


def signal_program(number):
    """A soft stop for the recorder: the program's own processes get the signal; the first of a namespace ignores it by default."""
    for pid in others():
        try:
            os.kill(pid, number)
        except OSError:
            pass


def await_end(report_read):
    """After a stop: the wait status that the first process reports within a second, or None."""
    watch = select.poll()
    watch.register(report_read, select.POLLIN)
    until = time.monotonic() + 1
    while watch.poll(max(0.0, (until - time.monotonic()) * 1000)):
        data = os.read(report_read, 65536)
        if not data:
            return None
        if b"=" in data:
            return int(data.rpartition(b"=")[2])
    return None


def serve_one(request):
    """Runs one request in a fork. Returns (head of the answer, memory block)."""
    limits = request["limits"]
    block = mmap.mmap(-1, limits["blockBytes"])
    out_read, out_write = os.pipe()
    err_read, err_write = os.pipe()
    report_read, report_write = os.pipe()
    for command in (request["commands"]["run"], request["commands"].get("afterSignal")) if "commands" in request else ():
        if command and command[0].startswith("@"):
            importlib.import_module(command[0][1:])  # loaded here once, it is there in every fork
    started_at = time.monotonic()
    first = -1
    try:
        first = fork_into_namespaces()
        if first == 0:
            for descriptor in (0, 1, out_read, err_read, report_read):
                os.close(descriptor)
            be_the_first(request, block, out_write, err_write, report_write)
    except BaseException:
        os.write(report_write, b"!" + traceback.format_exc().encode("utf-8", "replace"))
        if first == 0:
            os._exit(71)
    for descriptor in (out_write, err_write, report_write):
        os.close(descriptor)
    watch = select.poll()
    kinds = {out_read: "O", err_read: "E", report_read: "R"}
    for descriptor in kinds:
        watch.register(descriptor, select.POLLIN)
    stopped = "none"
    raw = []
    raw_bytes = 0
    status = None
    failure = None
    by_commands = "commands" in request
    # Building has its own limits; when it is over, the run begins with fresh ones.
    building = by_commands and len(request["commands"]["build"]) > 0
    phase_limits = {**limits, **request["commands"]["buildLimits"]} if building else limits
    cpu_before = 0.0
    phase_at = started_at
    soft = 0.0
    peak_memory = peak_processes = 0
    next_poll = started_at + POLL
    while status is None and failure is None:
        for descriptor, _ in watch.poll(max(0.0, (next_poll - time.monotonic()) * 1000)):
            data = os.read(descriptor, 65536)
            if not data:
                watch.unregister(descriptor)
                if descriptor == report_read:
                    status = -1
                continue
            if descriptor == report_read:
                if data[:1] == b"+":
                    building = False
                    phase_limits = limits
                    cpu_before = measure()[0]
                    phase_at = time.monotonic()
                    data = data[1:]
                if data[:1] == b"!":
                    failure = data[1:].decode("utf-8", "replace")
                elif data[:1] == b"=":
                    status = int(data[1:])
            else:
                room = limits["outputBytes"] - raw_bytes
                raw.append([kinds[descriptor], struct.unpack_from("<I", block, 0)[0], data[:room].hex()])
                raw_bytes += len(data)
                if raw_bytes > limits["outputBytes"]:
                    stopped = "output"
        now = time.monotonic()
        if now >= next_poll:
            next_poll = now + POLL
            cpu, memory, processes = measure()
            peak_memory = max(peak_memory, memory)
            peak_processes = max(peak_processes, processes - 1)
            if stopped == "none":
                most = phase_limits["memoryBytes"] + limits.get("overheadBytes", 24 << 20)
                if memory > most:
                    # The quick sum counts pages that forks share once for each; look closely before saying so.
                    shared_once = proportional_memory()
                    if shared_once is None or shared_once > most:
                        stopped = "memory"
                if stopped != "none":
                    pass
                elif cpu - cpu_before > phase_limits["cpuSeconds"] or now - phase_at > phase_limits["wallSeconds"]:
                    if request["mode"] != "trace" or by_commands:
                        stopped = "time"
                    elif not soft:
                        soft = now
                        signal_program(signal.SIGXCPU)
                    elif now - soft > 0.5:
                        stopped = "time"
                if stopped != "none" and by_commands:
                    # The first process of the namespace kills the program, and then tells what it had done so far.
                    os.kill(first, signal.SIGUSR1)
                    status = await_end(report_read)
        if stopped != "none":
            break
    if soft and stopped == "none":
        stopped = "time"
    if stopped != "none" or failure is not None:
        kill_all()
    # Else the first process of the namespace is ending and the kernel takes everything in it along: the pipes below end when the last
    # process is gone. The kernel then takes its time to put the namespace away; the answer need not wait for that (see main).
    for descriptor in (out_read, err_read):
        while True:
            data = os.read(descriptor, 65536)
            if not data:
                break
            room = limits["outputBytes"] - raw_bytes
            if room > 0:
                raw.append([kinds[descriptor], struct.unpack_from("<I", block, 0)[0], data[:room].hex()])
            raw_bytes += len(data)
    for descriptor in kinds:
        os.close(descriptor)
    head = {"id": request["id"], "stopped": stopped, "raw": raw, "milliseconds": (time.monotonic() - started_at) * 1000,
            "peakMemory": peak_memory, "peakProcesses": peak_processes, "failure": failure, "building": building}
    if status is not None and status >= 0:
        head["signal"] = os.WTERMSIG(status) if os.WIFSIGNALED(status) else 0
        head["exit"] = os.WEXITSTATUS(status) if os.WIFEXITED(status) else 128 + head["signal"]
    return head, block


def read_exactly(size):
    parts = []
    while size:
        part = os.read(0, min(size, 1 << 20))
        if not part:
            os._exit(0)
        parts.append(part)
        size -= len(part)
    return b"".join(parts)


def write_all(data):
    view = memoryview(data)
    while view:
        view = view[os.write(1, view):]


def read_request():
    head = json.loads(read_exactly(struct.unpack("<I", read_exactly(4))[0]))
    body = read_exactly(struct.unpack("<I", read_exactly(4))[0])
    files = {}
    order = []
    position = 0
    for name, size in head["files"]:
        files[name] = body[position:position + size]
        order.append(name)
        position += size
    head.update(files=files, order=order, input=body[position:], folder=FOLDER, outputLimit=head["limits"]["outputBytes"],
                stepLimit=head["limits"]["steps"])
    # The block holds the console, and for a trace the steps; memory that is not touched is not used.
    head["limits"]["blockBytes"] = BLOCK_BASE + head["limits"]["outputBytes"] * 16 + (head["limits"]["steps"] * 2000 if head["mode"] == "trace" else 0)
    return head


def main():
    os.umask(0o077)
    program = importlib.import_module(sys.argv[1]) if len(sys.argv) > 1 else None
    ready = json.dumps({"ready": True, "version": "CPython " + sys.version.split()[0]}).encode()
    write_all(struct.pack("<I", len(ready)) + ready + struct.pack("<I", 0))
    gc.collect()
    gc.freeze()
    while True:
        head, block = serve_one({**read_request(), "program": program})
        used = min(struct.unpack_from("<I", block, 0)[0], len(block))
        answer = json.dumps(head).encode()
        write_all(struct.pack("<I", len(answer)) + answer + struct.pack("<I", used))
        write_all(memoryview(block)[:used].tobytes())
        block.close()
        try:
            while True:
                os.waitpid(-1, 0)
        except ChildProcessError:
            pass


if __name__ == "__main__":
    main()
