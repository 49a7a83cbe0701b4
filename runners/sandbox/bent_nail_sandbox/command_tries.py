"""Many runs of one job by commands: variants of a program, or one program with many inputs, built together and run one after another.

Each is run as a single one is (commands.py) and leaves a block of its own, in frames P of the job's block (see tries.py). What it leaves behind
(processes, files) is gone before the next one begins. Either each has its command, or a host of its language runs them all in one process: it is
told a number by descriptor 61, runs that one, and says by descriptor 62 how it ended. A host is ended and made anew where one of them ends it,
takes too long or leaves anything behind. What one can reach are the others of the same job.
"""
import json
import mmap
import os
import re
import shutil
import time

from .block import append_frame, start_block
from .effects import effects
from .namespaces import FOLDER, mount_clean_folder
from .own_time import OwnTime
from .tries import ELSEWHERE, ENDED, TICK, TIME, keep, others

ORDERS, ANSWERS = 61, 62
SAID = re.compile(rb"(?:([0-9]{1,3}) (clean|left)|ready)\n")
START_SECONDS = 20.0  # what a host may take until it is ready for its first run


class Look:
    """Ends one try at its own limits; to be called again and again while it runs. `kill` ends it."""

    def __init__(self, seconds, wall_seconds, kill):
        self.seconds, self.wall_seconds, self.kill = seconds, wall_seconds, kill
        self.over = False
        self.begin(0.0)

    def begin(self, cpu):
        """`cpu`: seconds that what runs has had before."""
        now = time.monotonic()
        self.cpu_before = cpu
        self.own_time = OwnTime(now, self.cpu_before)
        self.next = now + 0.02

    def __call__(self):
        now = time.monotonic()
        if self.over or now < self.next:
            return
        self.next = now + 0.02
        processes = others()
        cpu = cpu_of(processes)
        self.own_time.look(now, cpu, processes)
        if cpu - self.cpu_before > self.seconds or self.own_time.is_over(now, self.wall_seconds):
            self.over = True
            self.kill()


def cpu_of(processes):
    return sum(int(value) for fields in processes.values() for value in fields[11:15]) / TICK


def found_elsewhere():
    return {os.path.join(folder, name) for folder in ELSEWHERE for name in os.listdir(folder)}


class Surroundings:
    """The folders as they are before any try."""

    def __init__(self, request):
        self.files = request["files"]
        self.file_bytes = request["limits"]["fileBytes"]
        self.elsewhere = found_elsewhere()

    def changed(self):
        """What a try left in its folder, and whether it left anything at all."""
        found = effects(FOLDER, self.files)
        own = {name.split("/")[0] for name in self.files if not os.path.isabs(name)}
        return found, bool(found) or set(os.listdir(FOLDER)) != own or found_elsewhere() != self.elsewhere

    def put_back(self):
        mount_clean_folder(self.file_bytes)
        os.chdir(FOLDER)
        for name, data in self.files.items():
            if not os.path.isabs(name):
                path = os.path.join(FOLDER, name)
                os.makedirs(os.path.dirname(path), exist_ok=True)
                with open(path, "wb") as target:
                    target.write(data)
        for path in found_elsewhere() - self.elsewhere:
            shutil.rmtree(path) if os.path.isdir(path) and not os.path.islink(path) else os.unlink(path)


class Host:
    """A process of the program's language that runs one try after another."""

    def __init__(self, commands, request, scratch, channel):
        self.kill = commands.kill_everything
        self.run = commands.Run({**request, "input": b""}, scratch, channel, types=True)
        orders, self.orders = os.pipe()
        self.answers, answers = os.pipe()
        os.dup2(orders, ORDERS)
        os.dup2(answers, ANSWERS)
        self.run.begin(request["commands"]["tries"]["host"], request["commands"]["environment"], request["limits"], (ORDERS, ANSWERS))
        for descriptor in (orders, answers, ORDERS, ANSWERS):
            os.close(descriptor)

    def hear(self, look):
        """What it says next, as a match of SAID; None if it has ended, which it has, too, where it says anything else."""
        ended = self.run.follow(look, self.answers)
        self.run.watch.unregister(self.answers)
        said = None if ended else SAID.fullmatch(os.read(self.answers, 64))
        if said is None and not ended:
            # The end of the pipe is seen before that of the process.
            self.kill()
            self.run.follow()
        return said

    def close(self):
        os.close(self.orders)
        os.close(self.answers)
        self.run.close()


def try_each(commands, request, block, channel):
    """Runs each of request["commands"]["tries"]["each"], a list of {run: argv, input: text}; one frame P each, its number + 1 in the place of a
    line. Ends early where the block is full. `commands` is the module of that name."""
    tries = request["commands"]["tries"]
    scratch = mmap.mmap(-1, (2 << 20) + request["limits"]["outputBytes"] * 16)
    folder = Surroundings(request)
    host = None
    for number, one in enumerate(tries["each"]):
        typed = one["input"].encode("utf-8", "replace")
        result = {"built": [], "exit": None, "signal": 0, "ranOut": False, "stopped": "none"}
        start_block(scratch)
        look = Look(tries["cpuSeconds"], tries["wallSeconds"], commands.kill_everything)
        goes_on = False
        if tries["host"]:
            if host is None:
                host = Host(commands, request, scratch, channel)
                starting = Look(START_SECONDS, START_SECONDS, commands.kill_everything)
                if host.hear(starting) is None:
                    return
                start_block(scratch)
                folder.elsewhere = found_elsewhere()  # what a host makes for itself, before anything was run in it
            run = host.run
            run.printed, run.stopped = 0, "none"
            if not run.keyboard.retype(typed):
                continue
            look.begin(cpu_of(others()))
            begun = time.monotonic()
            os.write(host.orders, b"%d\n" % number)
            said = host.hear(look)
            if said is None or said[1] is None:
                if said is not None:
                    commands.kill_everything()
                status = run.end()
            else:
                run.drain()
                status = int(said[1]) << 8
                goes_on = said[2] == b"clean" and len(others()) == 1 and run.stopped == "none"
                if not goes_on:
                    commands.kill_everything()
                    run.end()
        else:
            run = commands.Run({**request, "input": typed}, scratch, channel)
            begun = time.monotonic()
            status = run.go(one["run"], request["commands"]["environment"], request["limits"], look)
            run.close()
        milliseconds = (time.monotonic() - begun) * 1000
        result["signal"] = status & 127
        result["exit"] = commands.shell_status(status)
        result["ranOut"] = run.keyboard.ran_out
        result["stopped"] = run.stopped
        left, is_changed = folder.changed()
        append_frame(scratch, b"F", json.dumps(left).encode())
        append_frame(scratch, b"R", json.dumps(result).encode())
        if not keep(block, scratch, number, TIME if look.over else ENDED, status, milliseconds):
            return
        if host and (not goes_on or is_changed):
            if goes_on:
                commands.kill_everything()
                run.end()
            host.close()
            host = None
        if is_changed:
            folder.put_back()
