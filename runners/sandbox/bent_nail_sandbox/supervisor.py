"""What the host does for one job, from outside of the job's namespaces: counts what it takes, ends it at its limits, and answers.

CPU time, memory and processes are counted over everything that the job started. Of the request only the numbers are known here, and what the
job gave goes to the server inside the kernel (splice, sendfile): no text of it is ever in this process's memory, since the next jobs are forked
from it.
"""
import json
import os
import select
import signal
import socket
import struct
import time
import traceback

from .first import be_the_first
from .namespaces import fork_into_namespaces, step_back
from .own_time import OwnTime

POLL = 0.02
PAGE = os.sysconf("SC_PAGE_SIZE")
TICK = os.sysconf("SC_CLK_TCK")
ALLOW_SEALING = 2  # memfd_create(2)


def processes_of(first):
    """{pid: fields of its stat from the state on} of process 1 of a job and all below it, wherever they are; orphans come to be below it."""
    found = {}
    for name in os.listdir("/proc"):
        if name.isdigit():
            try:
                with open("/proc/%s/stat" % name, "rb") as source:
                    found[int(name)] = source.read().rpartition(b")")[2].split()
            except OSError:
                continue
    belongs = {first: True, 0: False, 1: False, os.getpid(): False}

    def belong(pid):
        chain = []
        while pid not in belongs:
            if pid not in found:
                # Its parent went while this was read. This process stays, so it is one of a job's; and no other job runs.
                belongs[pid] = True
                break
            chain.append(pid)
            pid = int(found[pid][1])
        for each in chain:
            belongs[each] = belongs[pid]
        return belongs[pid]

    return {pid: fields for pid, fields in found.items() if belong(pid)}


def measure(first):
    """(CPU seconds, bytes of memory, processes as processes_of gives them) of everything that the job started."""
    ticks = pages = 0
    processes = processes_of(first)
    for pid, fields in processes.items():
        ticks += sum(int(value) for value in fields[11:15])
        try:
            with open("/proc/%d/statm" % pid, "rb") as source:
                resident, shared = source.read().split()[1:3]
            pages += int(resident) - int(shared)
        except (OSError, ValueError):
            continue
    return ticks / TICK, pages * PAGE, processes


def proportional_memory(first):
    """Bytes of memory of everything that the job started, pages that forks share counted once; None where that cannot be read."""
    total = 0
    for pid in processes_of(first):
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


def end(first):
    """Kills process 1 of a job, and with it the kernel everything in its namespaces; returns when all of it is gone."""
    try:
        os.kill(first, signal.SIGKILL)
    except ProcessLookupError:
        pass
    try:
        os.waitpid(first, 0)
    except ChildProcessError:
        pass


def signal_program(first, number):
    """A soft stop for the recorder: the program's own processes get the signal; process 1 ignores it by default."""
    for pid in processes_of(first):
        try:
            os.kill(pid, number)
        except OSError:
            pass


class Prepared:
    """Namespaces that are ready for a job: process 1 in them waits for the request."""

    def __init__(self, program):
        self.memory = os.memfd_create("block", ALLOW_SEALING)
        self.out, out_write = os.pipe()
        self.err, err_write = os.pipe()
        self.channel, theirs = socket.socketpair(socket.AF_UNIX, socket.SOCK_SEQPACKET)
        self.first = -1
        try:
            self.first = fork_into_namespaces()
            if self.first == 0:
                be_the_first(program, self.memory, out_write, err_write, theirs)
        except BaseException:
            theirs.send(b"!" + traceback.format_exc().encode("utf-8", "replace")[-4000:])
            if self.first == 0:
                os._exit(71)
        for descriptor in (out_write, err_write):
            os.close(descriptor)
        theirs.close()

    def numbers(self):
        """What process 1 tells of the request when it has read all of it; None if nobody asks any longer."""
        told = self.channel.recv(65536)
        if not told:
            return None
        if told[:1] != b"#":
            # No request was read, and none can be: this sandbox does not work here.
            raise OSError(told[1:].decode("utf-8", "replace"))
        return json.loads(told[1:])

    def close(self):
        end(self.first)
        self.channel.close()
        for descriptor in (self.memory, self.out, self.err):
            os.close(descriptor)


class Job:
    """One job from its request to its end. `wanted` collects the names of modules that it had to load itself."""

    def __init__(self, prepared, numbers):
        self.first = prepared.first
        self.memory = prepared.memory
        self.wanted = []
        self.channel = prepared.channel
        self.size = numbers["limits"]["blockBytes"]
        self.kinds = {prepared.out: "O", prepared.err: "E"}
        self.raw_memory = -1
        self.mode = numbers["mode"]
        self.by_commands = numbers["byCommands"]
        self.limits = numbers["limits"]
        # Building has its own limits; when it is over, the run begins with fresh ones.
        self.building = numbers["buildLimits"] is not None
        self.phase_limits = {**self.limits, **(numbers["buildLimits"] or {})}
        self.started_at = time.monotonic()
        self.cpu_before = 0.0
        self.own_time = OwnTime(self.started_at, 0.0)
        self.soft = 0.0
        self.stopped = "none"
        self.raw = []
        self.raw_bytes = 0
        self.status = None
        self.failure = None
        self.peak_memory = self.peak_processes = 0

    def hear(self, message):
        """Takes what process 1 tells."""
        if not message:
            if self.status is None and self.failure is None:
                self.failure = "process 1 of the sandbox ended before its time"
        elif message[:1] == b"+":
            self.building = False
            self.phase_limits = self.limits
            self.cpu_before = measure(self.first)[0]
            self.own_time = OwnTime(time.monotonic(), self.cpu_before)
        elif message[:1] == b"@":
            self.wanted.append(message[1:].decode())
        elif message[:1] == b"!":
            self.failure = message[1:].decode("utf-8", "replace")
        elif message[:1] == b"=":
            self.status = int(message[1:])

    def used(self):
        """How much of the block is in use."""
        return min(struct.unpack("<I", os.pread(self.memory, 4, 0).ljust(4, b"\0"))[0], self.size)

    def take_raw(self, descriptor):
        """Output that went past the streams of a language that runs inside; False at its end. It is moved, and not looked at."""
        room = self.limits["outputBytes"] - sum(size for _, _, size in self.raw)
        if self.raw_memory < 0:
            self.raw_memory = os.memfd_create("raw", 0)
        if room <= 0:
            nowhere = os.open("/dev/null", os.O_WRONLY)
            size = os.splice(descriptor, nowhere, 65536)
            os.close(nowhere)
        else:
            used = self.used()
            size = os.splice(descriptor, self.raw_memory, min(room, 65536), offset_dst=sum(size for _, _, size in self.raw))
            if size:
                self.raw.append([self.kinds[descriptor], used, size])
        self.raw_bytes += size
        return size > 0

    def look(self, now):
        """Compares what the job has taken with its limits."""
        cpu, memory, processes = measure(self.first)
        self.peak_memory = max(self.peak_memory, memory)
        self.peak_processes = max(self.peak_processes, len(processes) - 1)
        most = self.phase_limits["memoryBytes"] + self.limits.get("overheadBytes", 24 << 20)
        if memory > most:
            # The quick sum counts pages that forks share once for each; look closely before saying so.
            shared_once = proportional_memory(self.first)
            if shared_once is None or shared_once > most:
                self.stopped = "memory"
                return
        self.own_time.look(now, cpu, processes)
        if cpu - self.cpu_before > self.phase_limits["cpuSeconds"] or self.own_time.is_over(now, self.phase_limits["wallSeconds"]):
            if self.mode != "trace" or self.by_commands:
                self.stopped = "time"
            elif not self.soft:
                self.soft = now
                signal_program(self.first, signal.SIGXCPU)
            elif now - self.soft > 0.5:
                self.stopped = "time"

    def go(self):
        """Watches until the job has ended or is to be ended."""
        watch = select.poll()
        watch.register(self.channel, select.POLLIN)
        for descriptor in self.kinds:
            watch.register(descriptor, select.POLLIN)
        next_look = self.started_at + POLL
        while self.status is None and self.failure is None and self.stopped == "none":
            for descriptor, _ in watch.poll(max(0.0, (next_look - time.monotonic()) * 1000)):
                if descriptor == self.channel.fileno():
                    self.hear(self.channel.recv(8192))
                elif not self.take_raw(descriptor):
                    watch.unregister(descriptor)
                elif self.raw_bytes >= self.limits["outputBytes"]:
                    self.stopped = "output"
            now = time.monotonic()
            if now >= next_look and self.stopped == "none":
                next_look = now + POLL
                step_back.go_on(now)
                self.look(now)
        if self.stopped != "none" and self.by_commands:
            self.ask_to_end()
        if self.soft and self.stopped == "none":
            self.stopped = "time"
        if self.stopped != "none" or self.failure is not None:
            end(self.first)
        # Else process 1 is ending and the kernel takes everything in its namespaces along: the pipes end when the last process is gone.
        for descriptor in self.kinds:
            while self.take_raw(descriptor):
                pass

    def ask_to_end(self):
        """Process 1 kills the program, and then tells within a second what it had done so far."""
        try:
            self.channel.send(b"stop")
            watch = select.poll()
            watch.register(self.channel, select.POLLIN)
            until = time.monotonic() + 1
            while self.status is None and self.failure is None and watch.poll(max(0.0, (until - time.monotonic()) * 1000)):
                self.hear(self.channel.recv(8192))
        except OSError:
            pass
        self.failure = None

    def answer(self):
        """Writes the answer (see host.py) to descriptor 1."""
        used = self.used()
        raw = sum(size for _, _, size in self.raw)
        head = {"stopped": self.stopped, "raw": self.raw, "blockBytes": used, "milliseconds": (time.monotonic() - self.started_at) * 1000,
                "peakMemory": self.peak_memory, "peakProcesses": self.peak_processes, "failure": self.failure, "building": self.building}
        if self.status is not None:
            head["signal"] = os.WTERMSIG(self.status) if os.WIFSIGNALED(self.status) else 0
            head["exit"] = os.WEXITSTATUS(self.status) if os.WIFEXITED(self.status) else 128 + head["signal"]
        data = json.dumps(head).encode()
        write_all(struct.pack("<I", len(data)) + data + struct.pack("<I", used + raw))
        hand_over(self.memory, used)
        if self.raw_memory >= 0:
            hand_over(self.raw_memory, raw)
            os.close(self.raw_memory)


def write_all(data):
    view = memoryview(data)
    while view:
        view = view[os.write(1, view):]


def hand_over(memory, size):
    """The first bytes of a memory file to descriptor 1, inside the kernel."""
    at = 0
    while at < size:
        at += os.sendfile(1, memory, at, size - at)
