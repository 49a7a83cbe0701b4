"""The console as the student would have seen it, written into a block of memory.

The block survives the program: whoever holds it can read what was printed even if the program was
killed, closed its own standard output or left by os._exit. Layout, little endian:

    bytes 0-3   length in use, counting these four bytes
    then frames: kind (1 byte), line (u32, 0 = unknown), step (u32, 0 = none, else index + 1),
                 length (u32), that many bytes

Kinds: O out, E err, I in (a line of input the program was given), T a chunk of the trace (JSON),
R the result (JSON).
"""
import io
import struct
import sys

HEADER = struct.Struct("<cIII")
LENGTH = struct.Struct("<I")
RESULT_ROOM = 1 << 20


class OutputFull(BaseException):
    """More was printed than the output limit allows."""


class Console:
    def __init__(self, block, output_limit, files):
        self.block = block
        self.output_limit = output_limit
        self.printed = 0
        self.files = files
        self.count_steps = lambda: 0
        self.on_full = None
        LENGTH.pack_into(block, 0, 4)

    def append(self, kind, data, line=0):
        """Adds one frame and returns True, or False if the block is full. The end is kept free for the result."""
        block = self.block
        used = LENGTH.unpack_from(block, 0)[0]
        end = used + HEADER.size + len(data)
        if end > len(block) - (0 if kind == b"R" else RESULT_ROOM):
            return False
        HEADER.pack_into(block, used, kind, line, self.count_steps(), len(data))
        block[used + HEADER.size:end] = data
        LENGTH.pack_into(block, 0, end)
        return True

    def write(self, kind, data):
        """Output of the program: kept up to the limit, then the run is over."""
        room = self.output_limit - self.printed
        size = len(data)
        if size > room:
            self.append(kind, bytes(data[:room]), self.current_line())
            self.printed = self.output_limit
            if self.on_full is not None:
                self.on_full()
            raise OutputFull()
        self.printed += size
        self.append(kind, bytes(data), self.current_line())

    def current_line(self):
        """The line of the student's own innermost frame, 0 if there is none."""
        frame = sys._getframe(2)
        files = self.files
        while frame is not None:
            if frame.f_code.co_filename in files:
                return frame.f_lineno or 0
            frame = frame.f_back
        return 0


class OutputStream(io.RawIOBase):
    """Standard output or standard error of the program."""

    def __init__(self, console, kind, descriptor):
        self.console = console
        self.kind = kind
        self.descriptor = descriptor

    def writable(self):
        return True

    def fileno(self):
        return self.descriptor

    def write(self, data):
        self.console.write(self.kind, data)
        return len(data)


class InputStream(io.RawIOBase):
    """Standard input: a line is handed over only when the program asks for it."""

    def __init__(self, console, data):
        self.console = console
        self.lines = data.splitlines(True) if isinstance(data, bytes) else []
        self.position = 0
        self.rest = b""
        self.ran_out = False

    def readable(self):
        return True

    def fileno(self):
        return 0

    def readinto(self, buffer):
        if not self.rest:
            if self.position >= len(self.lines):
                self.ran_out = True
                return 0
            self.rest = self.lines[self.position]
            self.position += 1
            self.console.append(b"I", self.rest, self.console.current_line())
        size = min(len(buffer), len(self.rest))
        buffer[:size] = self.rest[:size]
        self.rest = self.rest[size:]
        return size


def open_streams(console, data):
    """Returns (stdin, stdout, stderr) as text streams over the console, and the raw input."""
    raw_input = InputStream(console, data)
    stdin = io.TextIOWrapper(io.BufferedReader(raw_input), encoding="utf-8", errors="surrogateescape")
    stdout = io.TextIOWrapper(OutputStream(console, b"O", 1), encoding="utf-8", errors="surrogateescape", write_through=True)
    stderr = io.TextIOWrapper(OutputStream(console, b"E", 2), encoding="utf-8", errors="backslashreplace", write_through=True)
    return stdin, stdout, stderr, raw_input
