"""Notices of system calls (Linux seccomp user notification): the supervisor is asked before a program reads its input or writes.

A call that waits for its notice is held by the kernel until it is answered, so what was printed before a read is known exactly,
and a line of input is given only when the program asks for it.
"""
import array
import errno
import fcntl
import os
import socket
import struct

from .filters import ALLOW, FIRST_ARGUMENT, MACHINE, NOTIFY, OTHERS, equal, give, install as install_filter, load, made_ready, refusals

RECEIVE, SEND = 0xC0502100, 0xC0182101
GO_ON = 1


def filter_program(with_output, debugger):
    """Reads of descriptor 0 and writes of 2 (and of 1, if `with_output`) give a notice; what filters.py refuses is refused; the rest goes on."""
    calls = OTHERS[MACHINE]
    program = refusals(debugger)
    for number in (calls["read"], calls["readv"]):
        program += [equal(number, 0, 4), load(FIRST_ARGUMENT), equal(0, 0, 1), give(NOTIFY), load(0)]
    for number in (calls["write"], calls["writev"]):
        if with_output:
            program += [equal(number, 0, 5), load(FIRST_ARGUMENT), equal(1, 1, 0), equal(2, 0, 1), give(NOTIFY), load(0)]
        else:
            program += [equal(number, 0, 4), load(FIRST_ARGUMENT), equal(2, 0, 1), give(NOTIFY), load(0)]
    return program + [give(ALLOW)]


PROGRAMS = {(with_output, debugger): made_ready(filter_program(with_output, debugger)) for with_output in (False, True) for debugger in (False, True)}


def install(with_output, debugger, channel):
    """In the program's process, rights gone: from here on its calls give notices, which whoever is at the other end of `channel` answers."""
    listener = install_filter(PROGRAMS[with_output, debugger], listener=True)
    channel.sendmsg([b"l"], [(socket.SOL_SOCKET, socket.SCM_RIGHTS, array.array("i", [listener]))])
    os.close(listener)


def receive_listener(channel):
    """The listener's descriptor from the program's process."""
    message, ancillary, _, _ = channel.recvmsg(1, socket.CMSG_SPACE(4))
    for level, kind, data in ancillary:
        if level == socket.SOL_SOCKET and kind == socket.SCM_RIGHTS:
            return struct.unpack("@i", data[:4])[0]
    raise OSError(errno.EPROTO, "no listener: %r" % message)


def receive(listener):
    """(id of the notice, "read" or "write", descriptor), or None if the caller is gone."""
    notice = bytearray(80)
    try:
        fcntl.ioctl(listener, RECEIVE, notice, True)
    except OSError as problem:
        if problem.errno in (errno.ENOENT, errno.EINTR):
            return None
        raise
    identity, _, _, number = struct.unpack_from("=QIIi", notice, 0)
    descriptor = struct.unpack_from("=Q", notice, 32)[0] & 0xFFFFFFFF
    return identity, "read" if number in (OTHERS[MACHINE]["read"], OTHERS[MACHINE]["readv"]) else "write", descriptor


def go_on(listener, identity):
    """Lets the held call happen."""
    try:
        fcntl.ioctl(listener, SEND, bytearray(struct.pack("=QqiI", identity, 0, 0, GO_ON)), True)
    except OSError as problem:
        if problem.errno != errno.ENOENT:
            raise
