"""Where the passes of loops that are written on one line begin, for compilers that tell one place for a whole line: targets of jumps back within
the line's instructions, as objdump (binutils, which such a compiler needs itself) takes them apart."""
import os
import re

OBJDUMP = "/usr/bin/objdump"
JUMP = re.compile(rb"^\s*([0-9a-f]+):\s+(?:j\w+)\s+(?:0x)?([0-9a-f]+)\b", re.M)


def output_of(argv):
    """What a command prints; b"" if it cannot be run."""
    reading, writing = os.pipe()
    pid = os.fork()
    if pid == 0:
        try:
            os.dup2(writing, 1)
            os.dup2(os.open("/dev/null", os.O_WRONLY), 2)
            os.execv(argv[0], argv)
        finally:
            os._exit(127)
    os.close(writing)
    parts = []
    while True:
        part = os.read(reading, 65536)
        if not part:
            break
        parts.append(part)
    os.close(reading)
    os.waitpid(pid, 0)
    return b"".join(parts)


def stretches(program, text_of_line, pattern):
    """[(start, end)] of the instructions of every line on which a whole loop stands."""
    found = []
    rows = sorted(program.rows)
    ends = [function.high for function in program.functions]
    for index, start in enumerate(rows):
        place = program.rows[start]
        if index and program.rows[rows[index - 1]] == place or not pattern.search(text_of_line(*place)):
            continue
        beyond = [address for address in rows[index:] if program.rows[address] != place][:1] + [end for end in ends if end > start]
        if beyond:
            found.append((start, min(beyond)))
    return found


def pass_places(path, program, text_of_line, words):
    """{address: (file number, line)} of the places where another pass begins. `words`: a regular expression for a line that is a whole loop."""
    if not words or not os.path.exists(OBJDUMP):
        return {}
    places = {}
    for start, end in stretches(program, text_of_line, re.compile(words, re.I)):
        told = output_of([OBJDUMP, "-d", "--no-show-raw-insn", "--start-address=%d" % start, "--stop-address=%d" % end, path])
        for jump in JUMP.finditer(told):
            at, target = int(jump[1], 16), int(jump[2], 16)
            if start <= target < at:
                places[target] = program.rows[start]
    return places
