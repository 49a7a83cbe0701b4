"""Where a program is when a signal ends it, told by gdb. Run inside gdb: gdb -nx -batch -x crash.py --args PROGRAM FILE...

The files name those of the student's own; the program itself is given none. What was found goes to descriptor 60 as JSON: {frames: [{file, line, name, own}]
oldest first, values: [{name, text}] of the innermost frame of the student's own, unprinted: text in the buffer of standard output}.
"""
import json
import mmap
import os
import struct

import gdb

FILES = os.environ.get("BENT_NAIL_FILES", "").split("\n")
MOST_FRAMES = 60
MOST_VALUES = 40


def told(found):
    memory = mmap.mmap(60, 0)
    data = json.dumps(found).encode("utf-8", "backslashreplace")
    struct.pack_into("<IIII", memory, 0, 20 + len(data), 0, 0, 2)
    struct.pack_into("<I", memory, 16, len(data))
    memory[20:20 + len(data)] = data


def values_of(frame):
    found = []
    names = set()
    try:
        block = frame.block()
    except RuntimeError:
        return found
    while block is not None and not block.is_global and not block.is_static:
        for symbol in block:
            if not (symbol.is_variable or symbol.is_argument) or symbol.name in names or len(found) >= MOST_VALUES:
                continue
            names.add(symbol.name)
            try:
                text = str(symbol.value(frame))
            except (gdb.error, gdb.MemoryError):
                text = "(not readable)"
            found.append({"name": symbol.name, "text": "NULL" if text == "0x0" else text[:200]})
        if block.function is not None:
            break
        block = block.superblock
    return found


def unprinted():
    try:
        start = int(gdb.parse_and_eval("(unsigned long)&_IO_2_1_stdout_"))
        base, at = struct.unpack("<QQ", bytes(gdb.selected_inferior().read_memory(start + 32, 16)))
        return bytes(gdb.selected_inferior().read_memory(base, at - base)).decode("utf-8", "replace") if 0 < at - base < 1 << 16 else ""
    except (gdb.error, gdb.MemoryError, struct.error):
        return ""


# The wrapper puts the filter of system calls before the program; it is started by a shell.
for setting in ("exec-wrapper /usr/bin/python3 -S /runner/native/start_guarded.py", "disable-randomization on", "confirm off", "pagination off", "print frame-arguments none", "debuginfod enabled off"):
    try:
        gdb.execute("set " + setting)
    except gdb.error:
        pass
try:
    gdb.execute("run", to_string=True)
    frames = []
    values = None
    frame = gdb.newest_frame()
    while frame is not None and len(frames) < MOST_FRAMES:
        place = frame.find_sal()
        file = os.path.basename(place.symtab.filename) if place.symtab is not None else ""
        own = file in [os.path.basename(name) for name in FILES]
        if own and values is None:
            values = values_of(frame)
        frames.insert(0, {"file": file, "name": frame.name() or "", "own": own, **({"line": place.line} if place.line > 0 and own else {})})
        frame = frame.older()
    told({"frames": frames, "values": values or [], "unprinted": unprinted()})
except gdb.error:
    pass
