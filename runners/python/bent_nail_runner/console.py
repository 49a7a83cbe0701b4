"""The streams of a Python program that runs inside the runner's own process, written into the block (see bent_nail_sandbox.block).

What is typed in lies in a file that is descriptor 0; its position says how much has been given, whoever read it: input(), os.read, a copy of
the descriptor, or a process that the program started.
"""
import io
import os
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
        self.given = 0
        start_block(block)

    def append(self, kind, data, line=0):
        """Adds one frame and returns True, or False if the block is full."""
        return append_frame(self.block, kind, data, line, self.count_steps())

    def note_given(self):
        """Puts on the console what was read past sys.stdin since this was last called."""
        try:
            position = os.lseek(0, 0, os.SEEK_CUR)
            if position > self.given:
                append_frame(self.block, b"I", os.pread(0, position - self.given, self.given), self.current_line(), self.count_steps())
            self.given = position
        except OSError:
            pass  # the program has closed its input

    def give_rest(self):
        """The program opens its input once more by name: what is left of it is all that such a reader gets, and nothing is left for others."""
        try:
            self.note_given()
            rest = b""
            while True:
                part = os.pread(0, 1 << 20, self.given + len(rest))
                if not part:
                    break
                rest += part
            os.ftruncate(0, 0)
            os.pwrite(0, rest, 0)
            self.given = os.lseek(0, 0, os.SEEK_END)
            if rest:
                append_frame(self.block, b"I", rest, self.current_line(), self.count_steps())
        except OSError:
            pass

    def write(self, kind, data):
        """Output of the program: kept up to the limit, then the run is over."""
        self.note_given()
        room = self.output_limit - self.printed
        size = len(data)
        if size > room:
            append_frame(self.block, kind, bytes(data[:room]), self.current_line(), self.count_steps())
            self.printed = self.output_limit
            if self.on_full is not None:
                self.on_full()
            raise OutputFull()
        self.printed += size
        append_frame(self.block, kind, bytes(data), self.current_line(), self.count_steps())

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

    def __init__(self, console):
        self.console = console
        self.rest = b""
        self.ran_out = False

    def readable(self):
        return True

    def fileno(self):
        return 0

    def next_line(self):
        """The next line of what is typed in, b"" at its end or if the program has closed it."""
        try:
            start = os.lseek(0, 0, os.SEEK_CUR)
        except OSError:
            return b""
        size = 4096
        while True:
            data = os.pread(0, size, start)
            end = data.find(b"\n") + 1
            if end > 0 or len(data) < size:
                line = data[:end] if end > 0 else data
                os.lseek(0, start + len(line), os.SEEK_SET)
                return line
            size *= 4

    def readinto(self, buffer):
        if not self.rest:
            self.console.note_given()
            self.rest = self.next_line()
            if not self.rest:
                self.ran_out = True
                return 0
            self.console.note_given()
        size = min(len(buffer), len(self.rest))
        buffer[:size] = self.rest[:size]
        self.rest = self.rest[size:]
        return size


INPUT_BY_NAME = ("/dev/stdin", "/dev/fd/0", "/proc/self/fd/0")


noticing = []  # the console of the program that runs; once there is a hook it stays


def notice(event, arguments):
    if event == "open" and arguments[0] in INPUT_BY_NAME:
        noticing[0].give_rest()


def open_streams(console):
    """Returns (stdin, stdout, stderr) as text streams over the console, and the raw input."""
    raw_input = InputStream(console)
    if not noticing:
        sys.addaudithook(notice)
    noticing[:] = [console]
    stdin = io.TextIOWrapper(io.BufferedReader(raw_input), encoding="utf-8", errors="surrogateescape")
    stdout = io.TextIOWrapper(OutputStream(console, b"O", 1), encoding="utf-8", errors="surrogateescape", write_through=True)
    stderr = io.TextIOWrapper(OutputStream(console, b"E", 2), encoding="utf-8", errors="backslashreplace", write_through=True)
    return stdin, stdout, stderr, raw_input
