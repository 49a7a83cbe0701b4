"""The keyboard of a run: the typed input, given a line at a time when the program asks for it."""
import fcntl
import os
import struct
import termios
import time

MOST_IN_A_LINE = 4000  # what a terminal's line discipline holds is 4095
WAITING = 0x541B  # FIONREAD


def plain(descriptor):
    """Line by line, no echo, nothing translated, no keys that stop or suspend; only Ctrl-D ends the input."""
    settings = termios.tcgetattr(descriptor)
    settings[0] = settings[1] = 0
    settings[3] = termios.ICANON
    for key in range(len(settings[6])):
        settings[6][key] = b"\x00"
    settings[6][termios.VEOF] = b"\x04"
    settings[6][termios.VMIN] = b"\x01" if termios.VMIN != termios.VEOF else b"\x04"
    termios.tcsetattr(descriptor, termios.TCSANOW, settings)


def open_terminal():
    """(master, slave) of a plain terminal. The system has a number of them for all its users, so one that is refused is asked for again."""
    for attempt in range(10):
        try:
            master, slave = os.openpty()
            plain(slave)
            return master, slave
        except OSError:
            if attempt == 9:
                raise
            time.sleep(0.05)


def is_typable(line):
    """True for a line that a terminal carries as it is."""
    return len(line) <= MOST_IN_A_LINE and b"\x04" not in line and b"\x00" not in line


class Keyboard:
    """Typed input behind a terminal, or behind a pipe where a terminal could not carry it."""

    def __init__(self, typed, terminal):
        self.lines = typed.splitlines(True)
        self.position = 0
        self.ran_out = False
        self.terminal = terminal and all(is_typable(line) for line in self.lines)
        if self.terminal:
            self.master, self.slave = open_terminal()
            self.reading = self.slave
            self.writing = self.master
            os.set_blocking(self.master, False)  # a program that asks and never reads must not hold its supervisor
        else:
            self.master = self.slave = -1
            self.reading, self.writing = os.pipe()
            os.set_blocking(self.writing, False)
        self.rest = b""

    def retype(self, typed):
        """Another input in the place of this one, for the next of several runs at one terminal; False where a terminal cannot carry it."""
        lines = typed.splitlines(True)
        if not self.terminal or not all(is_typable(line) for line in lines):
            return False
        termios.tcflush(self.slave, termios.TCIFLUSH)
        self.lines, self.position, self.ran_out, self.rest = lines, 0, False, b""
        return True

    def close(self):
        """Gives its descriptors back."""
        for descriptor in (self.master, self.slave) if self.terminal else (self.reading, self.writing):
            try:
                os.close(descriptor)
            except OSError:
                pass  # the end of a pipe was told by closing it

    def holds(self):
        """True if there is more to type, or its end was not told yet."""
        return not self.ran_out or self.rest != b""

    def unread(self):
        """Bytes that were given and not read yet."""
        return struct.unpack("i", fcntl.ioctl(self.reading, WAITING, b"\0\0\0\0"))[0]

    def asked(self):
        """The program waits for input: gives the next line if all before is read. Returns what was given, or b""."""
        if self.ran_out and not self.terminal:
            return b""
        if self.unread() > 0:
            return b""
        if self.rest:
            self.push(self.rest)
            return b""
        if self.position >= len(self.lines):
            self.ran_out = True
            if self.terminal:
                self.write(b"\x04")
            else:
                os.close(self.writing)
            return b""
        line = self.lines[self.position]
        self.position += 1
        if self.terminal and not line.endswith(b"\n"):
            self.write(line + b"\x04")
        else:
            self.push(line)
        return line

    def push(self, data):
        self.rest = data[self.write(data[:32768]):]

    def write(self, data):
        """How many bytes there was room for."""
        try:
            return os.write(self.writing, data)
        except BlockingIOError:
            return 0
