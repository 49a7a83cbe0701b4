"""Where a compiled program is when a signal ends it, by its frame pointers and debug information. For places in the program's own code; for
others (inside a library) it says so, and gdb is asked (crash.py). What was found goes to descriptor 60 in crash.py's form."""
import bisect
import json
import mmap
import os
import signal
import struct

import machine as control
from debug_information import read_program
from dwarf import BROKEN
from native_types import Aggregate, Types
from unprinted import held_back, place_of_output

MOST_FRAMES = 40
MOST_VALUES = 40


class Place:
    """Stands for the machine that native_types asks."""

    def __init__(self):
        self.memory = None

    def read(self, address, size):
        return self.memory.read(address, size)

    def evaluate(self, operations, subject):
        return control.evaluate(operations, self.memory, subject=subject)

    def name_of(self, address):
        return None


def text_of(value):
    if not isinstance(value, Aggregate):
        return value[1]
    inner = ", ".join(text_of(item) if key is None else "%s = %s" % (key, text_of(item)) for key, item in value.items)
    return "{" + inner + "}"


def unprinted(pid, memory):
    """Text in the buffer of the C library's standard output that was not handed to the system yet."""
    place = place_of_output(pid)
    return "" if place is None else held_back(memory, place)


def find(pid, memory, registers, program, files, place):
    """{frames, values, unprinted}, or None if the program is outside its own code."""
    starts = sorted(program.rows)

    def function_at(address):
        return next((function for function in program.functions if function.low <= address < function.high), None)

    def line_at(address):
        return program.rows[starts[bisect.bisect_right(starts, address) - 1]]

    address = registers[control.RIP]
    base = registers[control.RBP]
    if function_at(address) is None:
        return None
    frames = []
    values = []
    entering = function_at(address).low == address
    while len(frames) < MOST_FRAMES:
        function = function_at(address)
        if function is None:
            break
        file, line = line_at(address)
        frames.insert(0, {"file": files[file], "line": line, "name": function.name, "own": True})
        if len(frames) == 1 and not entering:
            frame = list(registers)
            for variable in function.variables[:MOST_VALUES]:
                if variable.kind is None or variable.high and not variable.low <= address < variable.high:
                    continue
                where = control.evaluate(variable.location, memory, frame, base + 16)
                if where is not None:
                    values.append({"name": variable.name, "text": text_of(variable.kind.read(where))[:200]})
        if entering:
            data = memory.read(registers[control.RSP], 8)
            entering = False
            if data is None:
                break
            address = int.from_bytes(data, "little") - 1
            continue
        data = memory.read(base, 16)
        if data is None:
            break
        above, returns = struct.unpack("<QQ", data)
        if above <= base:
            break
        base, address = above, returns - 1
    return {"frames": frames, "values": values, "unprinted": unprinted(pid, memory)}


def told(found):
    memory = mmap.mmap(60, 0)
    data = json.dumps(found).encode("utf-8", "backslashreplace")
    struct.pack_into("<IIII", memory, 0, 20 + len(data), 0, 0, 2)
    struct.pack_into("<I", memory, 16, len(data))
    memory[20:20 + len(data)] = data


def main(arguments):
    """Usage: PROGRAM HABITS FILE..., habits as JSON."""
    path, habits, files = arguments[0], json.loads(arguments[1]), arguments[2:]
    place = Place()
    program = read_program(path, files, Types(place, b"", habits))
    pid = control.launch([path])
    memory = place.memory = control.Memory(pid)
    registers = control.Registers()
    thread, deliver, found = pid, 0, {"frames": [], "values": [], "unprinted": ""}
    while True:
        control.libc.ptrace(control.CONT, thread, None, deliver)
        deliver = 0
        thread, status = os.waitpid(-1, 0x40000000)
        if os.WIFEXITED(status) or os.WIFSIGNALED(status):
            if thread == pid:
                break
            continue
        number = os.WSTOPSIG(status)
        if status >> 16 or number in (signal.SIGTRAP, signal.SIGSTOP):
            continue
        if number in (4, 6, 7, 8, 11):
            found = find(pid, memory, registers.get(thread), program, files, place) or {"frames": [], "values": [], "unprinted": "", "outside": True}
        deliver = number
    if os.WIFSIGNALED(status):
        told(found)
    os._exit(0)
