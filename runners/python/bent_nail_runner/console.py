"""The streams of a Python program that runs inside the runner's own process, written into the block (see bent_nail_sandbox.block)."""
import io
import sys

from bent_nail_sandbox.block import append_frame, start_block


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
        start_block(block)

    def append(self, kind, data, line=0):
        """Adds one frame and returns True, or False if the block is full."""
        return append_frame(self.block, kind, data, line, self.count_steps())

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
