"""Runs a program of any language by commands: first those that build it, then the program itself, at a terminal.

This is process 1 of the job's namespace. The program and its children have no rights over it; it alone writes the block.
"""
import glob
import importlib
import json
import mmap
import os
import select
import signal
import socket
import struct
import sys
import traceback

from . import notices
from .block import append_frame, start_block
from .command_tries import try_each
from .effects import effects
from .namespaces import FOLDER, drop_rights, libc, mount_clean_folder
from .terminal import Keyboard, open_terminal

RECORDING = 60
RECORDING_BYTES = 64 << 20
RECORDING_HEADER = struct.Struct("<IIII")  # bytes in use with this header, current line, current step + 1, 1: the step limit ended it, 2: the chunks are words for the server, no steps
MOST_KEPT = 1 << 20
FAULTS = (4, 6, 7, 8, 11)

# Kilobytes of stack from which on a program that prints too much may go on printing, up to so many times as much.
DEEP_STACK = 512
DEEP_OUTPUT = 16
MOST_MESSAGES = 512 << 10
BUILD_FOLDER = "/tmp/build"
LOOK = 20  # milliseconds between two looks at what one of many runs has taken
IDLE = 30  # milliseconds without a notice after which is looked whether the program waits for input in a way that gives none
DEBUGGERS = ("/usr/bin/gdb",)
READING_CALLS = (b"%d" % notices.OTHERS[notices.MACHINE]["read"], b"%d" % notices.OTHERS[notices.MACHINE]["readv"])


class Stopped(Exception):
    """The host has ended the run at a limit; everything but this process is killed."""


def kill_everything():
    """From process 1: everything else in the namespace."""
    try:
        os.kill(-1, signal.SIGKILL)
    except OSError:
        pass


def start(argv, environment, limits, streams, keep=(), before=None):
    """Starts a command in the case's folder without rights; returns its process number. `streams` become descriptors 0, 1 and 2."""
    pid = os.fork()
    if pid:
        return pid
    try:
        signal.signal(signal.SIGPIPE, signal.SIG_DFL)
        signal.signal(signal.SIGXFSZ, signal.SIG_DFL)
        os.setpgid(0, 0)
        os.chdir(FOLDER)
        for target, source in enumerate(streams):
            os.dup2(source, target)
        kept = sorted(set(keep))
        low = 3
        for descriptor in kept:
            os.closerange(low, descriptor)
            os.set_inheritable(descriptor, True)
            low = descriptor + 1
        os.closerange(low, 1024)
        try:
            with open("/proc/self/oom_score_adj", "w") as target:
                target.write("1000")
        except OSError:
            pass
        drop_rights(limits)
        if before is not None:
            before()
        if argv[0].startswith("@"):
            # A recorder of ours that the host has loaded. The program that it starts must not look into it.
            libc.prctl(4, 0, 0, 0, 0)
            sys.modules[argv[0][1:]].main(argv[1:])
        os.execve(argv[0], argv, environment)
    except BaseException:
        os.write(2, traceback.format_exc().encode("utf-8", "replace"))
    finally:
        os._exit(127)


def hear_stop(channel):
    """To be called when the host has said something, which is always: stop."""
    channel.recv(64)
    kill_everything()
    raise Stopped()


def build(argv, environment, limits, block, channel):
    """One command that translates. What it says goes to the block as it comes; returns its exit status as the shell counts it."""
    nothing = os.open("/dev/null", os.O_RDWR)
    reading, writing = os.pipe()
    pid = start(argv, environment, limits, (nothing, writing, writing))
    os.close(writing)
    os.close(nothing)
    said = 0
    watch = select.poll()
    watch.register(reading, select.POLLIN)
    watch.register(channel, select.POLLIN)
    while True:
        if channel.fileno() in dict(watch.poll()):
            hear_stop(channel)
        data = os.read(reading, 65536)
        if not data:
            break
        if said < MOST_MESSAGES:
            append_frame(block, b"M", data[:MOST_MESSAGES - said])
        said += len(data)
    os.close(reading)
    return shell_status(wait_for(pid))


def wait_for(pid):
    while True:
        ended, status = os.wait()
        if ended == pid:
            return status


def shell_status(status):
    return 128 + os.WTERMSIG(status) if os.WIFSIGNALED(status) else os.WEXITSTATUS(status)


class Run:
    """One run of the program, from its start to its end."""

    def __init__(self, request, block, channel, types=None):
        """`types`: whether what is typed comes from a terminal, too; as what is printed goes to one, if that is not said."""
        self.block = block
        self.channel = channel
        self.limit = request["limits"]["outputBytes"]
        self.printed = 0
        self.stopped = "none"
        self.keyboard = Keyboard(request["input"], request["commands"]["terminal"] if types is None else types)
        if request["commands"]["terminal"]:
            self.out, self.out_slave = open_terminal()
        else:
            self.out, self.out_slave = os.pipe()
        self.err, self.err_slave = os.pipe()
        os.set_blocking(self.out, False)
        os.set_blocking(self.err, False)
        self.stamps = {"O": (0, 0), "E": (0, 0)}
        self.recording = None
        self.pid = 0
        if request["commands"]["recording"]:
            memory = os.memfd_create("recording", 0)
            os.ftruncate(memory, RECORDING_BYTES)
            self.recording = mmap.mmap(memory, RECORDING_BYTES)
            RECORDING_HEADER.pack_into(self.recording, 0, RECORDING_HEADER.size, 0, 0, 0)
            os.dup2(memory, RECORDING)
            os.close(memory)

    def where(self):
        """(line, step + 1) by the recorder's own count."""
        return RECORDING_HEADER.unpack_from(self.recording, 0)[1:3] if self.recording is not None else (0, 0)

    def emit(self, kind, data):
        room = self.limit - self.printed
        if room > 0:
            append_frame(self.block, kind.encode(), data[:room], *self.stamps[kind])
        self.printed += len(data)
        if self.printed <= self.limit:
            return
        # Calls that call one another without end print a lot, too, and stop by themselves when the stack is full.
        goes_on = self.recording is None and self.printed <= DEEP_OUTPUT * self.limit and self.is_deep()
        if self.stopped == "none" or not goes_on:
            self.stopped = "output"
            if not goes_on:
                kill_everything()

    def is_deep(self):
        """True if the stack of the program holds so much that its calls may be about to fill it."""
        try:
            with open("/proc/%d/status" % self.pid, "rb") as source:
                size = next((line for line in source if line.startswith(b"VmStk:")), b"VmStk: 0 kB")
            return int(size.split()[1]) >= DEEP_STACK
        except (OSError, ValueError, IndexError):
            return False

    def drain(self):
        """Takes what was printed; errors first, since whatever was printed before an error was taken when its notice came."""
        for kind, descriptor in (("E", self.err), ("O", self.out)):
            while True:
                try:
                    data = os.read(descriptor, 65536)
                except OSError:
                    break
                if not data:
                    break
                self.emit(kind, data)

    def answer(self, listener):
        """One notice: the program is about to read its input or to write."""
        notice = notices.receive(listener)
        if notice is None:
            return
        identity, call, descriptor = notice
        self.drain()
        if call == "read":
            self.give_line()
        else:
            self.stamps["O" if descriptor == 1 else "E"] = self.where()
        notices.go_on(listener, identity)

    def give_line(self):
        """The program asks for input: the next line is given, if all before it is read."""
        line, step = self.where()
        given = self.keyboard.asked()
        if given:
            append_frame(self.block, b"I", given, line, step)

    def waits_for_input(self):
        """True if a process of the program is held in a read of the typed input by another descriptor than 0, which gives no notice."""
        wanted = os.readlink("/proc/self/fd/%d" % self.keyboard.reading)
        for path in glob.iglob("/proc/[0-9]*/task/*/syscall"):
            process = path.split("/")[2]
            try:
                with open(path, "rb") as source:
                    fields = source.read().split()
                if process != "1" and fields[0] in READING_CALLS and os.readlink("/proc/%s/fd/%d" % (process, int(fields[1], 16))) == wanted:
                    return True
            except (OSError, IndexError, ValueError):
                continue
        return False

    def begin(self, argv, environment, limits, others=()):
        """Starts the program; `others` are descriptors that it is to have beside its streams."""
        ours, theirs = socket.socketpair(socket.AF_UNIX, socket.SOCK_STREAM)
        keep = [theirs.fileno(), *others] + ([RECORDING] if self.recording is not None else [])
        with_output = self.recording is not None
        debugger = argv[0].startswith("@") or argv[0] in DEBUGGERS

        def before():
            notices.install(with_output, debugger, theirs)
            theirs.close()

        self.pid = start(argv, environment, limits, (self.keyboard.reading, self.out_slave, self.err_slave), keep, before)
        theirs.close()
        if self.recording is not None:
            os.close(RECORDING)
        self.listener = notices.receive_listener(ours)
        ours.close()
        self.process = os.pidfd_open(self.pid)
        self.watch = select.poll()
        for descriptor in (self.listener, self.out, self.err, self.process, self.channel.fileno()):
            self.watch.register(descriptor, select.POLLIN)

    def follow(self, look=None, told=None):
        """Serves the program until it has ended (True), or until there is something to read from `told` (False). `look` is called again and
        again, and may end it."""
        if told is not None:
            self.watch.register(told, select.POLLIN)
        idle = LOOK if look else None
        while True:
            ready = dict(self.watch.poll(IDLE if self.keyboard.holds() else idle))
            if look:
                look()
            if not ready and self.keyboard.holds() and self.waits_for_input():
                self.drain()
                self.give_line()
            if self.channel.fileno() in ready:
                self.drain()
                hear_stop(self.channel)
            if self.listener in ready:
                if ready[self.listener] & select.POLLIN:
                    self.answer(self.listener)
                else:
                    self.watch.unregister(self.listener)
            if self.out in ready or self.err in ready:
                self.drain()
            if self.process in ready or told in ready:
                return self.process in ready

    def end(self):
        """Takes what an ended program printed last. Returns its wait status."""
        status = wait_for(self.pid)
        self.drain()
        kill_everything()
        return status

    def go(self, argv, environment, limits, look=None):
        """Runs the program to its end. Returns its wait status."""
        self.begin(argv, environment, limits)
        self.follow(look)
        return self.end()

    def close(self):
        """Gives back what this run held, where another one follows in the same process."""
        for descriptor in (self.out, self.out_slave, self.err, self.err_slave, self.listener, self.process):
            os.close(descriptor)
        self.keyboard.close()

    def copy_recording(self):
        """The recorder's chunks (u32 length, JSON) go to the block; nothing in them is trusted."""
        recording = self.recording
        kind = b"M" if RECORDING_HEADER.unpack_from(recording, 0)[3] == 2 else b"T"
        used = min(RECORDING_HEADER.unpack_from(recording, 0)[0], len(recording))
        at = RECORDING_HEADER.size
        while at + 4 <= used:
            size = struct.unpack_from("<I", recording, at)[0]
            if size == 0 or at + 4 + size > used:
                break
            if not append_frame(self.block, kind, recording[at + 4:at + 4 + size]):
                break
            at += 4 + size


def keep_built(block, path):
    """The program that was built goes back to the server, so that the same text need not be built again."""
    try:
        if os.path.getsize(path) <= MOST_KEPT:
            with open(path, "rb") as source:
                append_frame(block, b"B", source.read())
    except OSError:
        pass


def place_of_crash(request, block, argv, channel):
    """Runs the program once more, from a clean folder, by a command that finds where a signal ends it; what that tells is kept as words."""
    mount_clean_folder(request["limits"]["fileBytes"])
    os.chdir(FOLDER)
    for name, data in request["files"].items():
        if not os.path.isabs(name):
            os.makedirs(os.path.dirname(os.path.join(FOLDER, name)), exist_ok=True)
            with open(os.path.join(FOLDER, name), "wb") as target:
                target.write(data)
    # What this run prints is no part of the console.
    aside = mmap.mmap(-1, 4 << 20)
    start_block(aside)
    again = Run({**request, "commands": {**request["commands"], "recording": True}}, aside, channel)
    again.go(argv, request["commands"]["environment"], request["limits"])
    again.block = block
    again.copy_recording()


def load(name, channel):
    """A recorder of ours that was not loaded yet when this process was forked; the host loads it for later ones."""
    if name not in sys.modules:
        importlib.import_module(name)
        channel.send(b"@" + name.encode())


def run_program(request, block, channel, result):
    """The program itself, when it is built."""
    commands = request["commands"]
    channel.send(b"+")
    if commands.get("keep"):
        keep_built(block, commands["keep"])
    run = Run(request, block, channel)
    try:
        status = run.go(commands["run"], commands["environment"], request["limits"])
        result["signal"] = os.WTERMSIG(status) if os.WIFSIGNALED(status) else 0
        result["exit"] = shell_status(status)
    except Stopped:
        result.update(signal=9, exit=128 + 9, stopped="limit")
    result["ranOut"] = run.keyboard.ran_out
    # What stopped by a fault of its own behind the limit was not stopped by us.
    if run.stopped != "none" and not (run.stopped == "output" and result["signal"] in FAULTS):
        result["stopped"] = run.stopped
    append_frame(block, b"F", json.dumps(effects(FOLDER, request["files"])).encode())
    if run.recording is not None:
        if RECORDING_HEADER.unpack_from(run.recording, 0)[3] == 1 and result["stopped"] == "none":
            result["stopped"] = "steps"
        run.copy_recording()


def run_commands(request, block, channel):
    """Builds and runs as `request["commands"]` says: {build: [argv], run: argv or None, environment, terminal, recording, buildLimits}. With
    `runsAnyway` the program is run whatever came of its build; with `tries` it is run many times (command_tries.py)."""
    commands = request["commands"]
    result = {"built": [], "exit": None, "signal": 0, "ranOut": False, "stopped": "none"}
    os.makedirs(BUILD_FOLDER, 0o700, exist_ok=True)
    run = commands["run"]
    try:
        for argv in commands["build"]:
            status = build(argv, commands["environment"], {**request["limits"], **commands["buildLimits"]}, block, channel)
            result["built"].append(status)
            if status != 0 and not commands.get("runsAnyway"):
                run = None
                break
        if run is not None:
            if run[0].startswith("@"):
                load(run[0][1:], channel)
            if commands.get("tries"):
                channel.send(b"+")
                try_each(sys.modules[__name__], request, block, channel)
                result["exit"] = 0
            else:
                run_program(request, block, channel, result)
            after = commands.get("afterSignal")
            if after and result["signal"] in FAULTS and result["stopped"] == "none":
                load(after[0][1:], channel)
                place_of_crash(request, block, after, channel)
    except Stopped:
        # In the building nothing has run; in the second run of a crash its place stays unknown.
        if result["exit"] is None:
            result["stopped"] = "limit"
    append_frame(block, b"R", json.dumps(result).encode())
