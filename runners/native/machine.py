"""Control of another process on Linux for x86-64 (ptrace), and its memory."""
import ctypes
import os
import signal
import struct

from bent_nail_sandbox.filters import refuse

TRACEME, GETREGS, SETREGS, GETFPREGS, CONT, SINGLESTEP, SETOPTIONS, DETACH, GETEVENTMSG = 0, 12, 13, 14, 7, 9, 0x4200, 17, 0x4201
OPTIONS = 0x100000 | 2 | 4 | 8  # ends with us; forks and threads are ours as well
REGISTERS = struct.Struct("=27Q")
RBP, RAX, RIP, RSP = 4, 10, 16, 19
libc = ctypes.CDLL(None, use_errno=True)
libc.ptrace.argtypes = (ctypes.c_long, ctypes.c_long, ctypes.c_void_p, ctypes.c_void_p)
libc.ptrace.restype = ctypes.c_long


class Registers:
    """The registers of a stopped thread."""

    def __init__(self):
        self.buffer = ctypes.create_string_buffer(REGISTERS.size)
        self.address = ctypes.addressof(self.buffer)

    def get(self, thread):
        libc.ptrace(GETREGS, thread, None, self.address)
        return REGISTERS.unpack(self.buffer.raw)

    def set_instruction(self, thread, address):
        struct.pack_into("=Q", self.buffer, RIP * 8, address)
        libc.ptrace(SETREGS, thread, None, self.address)


class Memory:
    """The memory of a process by its own addresses."""

    def __init__(self, pid):
        self.file = os.open("/proc/%d/mem" % pid, os.O_RDWR)

    def read(self, address, size):
        """`size` bytes, or None where there is no memory."""
        try:
            data = os.pread(self.file, size, address)
        except (OSError, OverflowError):
            return None
        return data if len(data) == size else None

    def write(self, address, data):
        os.pwrite(self.file, data, address)


def launch(argv):
    """Starts a program that stops at its first instruction, its addresses not shuffled. Returns its process number."""
    pid = os.fork()
    if pid == 0:
        try:
            libc.personality(0x0040000)
            libc.ptrace(TRACEME, 0, None, None)
            os.closerange(3, 64)
            refuse()
            os.execv(argv[0], argv)
        finally:
            os._exit(127)
    os.waitpid(pid, 0)
    libc.ptrace(SETOPTIONS, pid, None, OPTIONS)
    return pid


def floating_result(thread):
    """The eight bytes of the register in which functions return floating numbers."""
    buffer = ctypes.create_string_buffer(512)
    libc.ptrace(GETFPREGS, thread, None, ctypes.addressof(buffer))
    return buffer.raw[160:168]


def evaluate(operations, memory, registers=None, frame_base=0, subject=0):
    """The address or number that a location stands for (DWARF 4, 2.5); None for one that is not understood."""
    stack = []
    at = 0
    positions = None
    while at < len(operations):
        name, arguments = operations[at]
        at += 1
        if name == "DW_OP_addr":
            stack.append(arguments[0])
        elif name == "DW_OP_fbreg":
            stack.append(frame_base + arguments[0])
        elif name == "DW_OP_breg6":
            stack.append((registers[RBP] if registers else 0) + arguments[0])
        elif name == "DW_OP_breg7":
            stack.append((registers[RSP] if registers else 0) + arguments[0])
        elif name == "DW_OP_push_object_address":
            stack.append(subject)
        elif name == "DW_OP_deref":
            data = memory.read(stack.pop(), 8)
            if data is None:
                return None
            stack.append(int.from_bytes(data, "little"))
        elif name == "DW_OP_deref_size":
            data = memory.read(stack.pop(), arguments[0])
            if data is None:
                return None
            stack.append(int.from_bytes(data, "little"))
        elif name.startswith("DW_OP_lit"):
            stack.append(int(name[9:]))
        elif name.startswith("DW_OP_const"):
            stack.append(arguments[0])
        elif name == "DW_OP_plus_uconst":
            stack.append(stack.pop() + arguments[0])
        elif name in ("DW_OP_plus", "DW_OP_minus", "DW_OP_mul"):
            second, first = stack.pop(), stack.pop()
            stack.append(first + second if name == "DW_OP_plus" else first - second if name == "DW_OP_minus" else first * second)
        elif name == "DW_OP_dup":
            stack.append(stack[-1])
        elif name in ("DW_OP_skip", "DW_OP_bra"):
            if name == "DW_OP_bra" and stack.pop() == 0:
                continue
            positions = positions or byte_positions(operations)
            target = positions[at] + arguments[0]
            if target not in positions:
                return None
            at = positions.index(target)
        else:
            return None
    return stack[-1] if stack else None


def byte_positions(operations):
    """Where each operation begins in bytes, and the end; only those that Pascal's dynamic values use have operands here."""
    sizes = {"DW_OP_bra": 3, "DW_OP_skip": 3, "DW_OP_const1u": 2, "DW_OP_const1s": 2, "DW_OP_const2u": 3, "DW_OP_const2s": 3, "DW_OP_const4u": 5, "DW_OP_const4s": 5, "DW_OP_deref_size": 2}
    positions = [0]
    for name, _ in operations:
        positions.append(positions[-1] + sizes.get(name, 1))
    return positions
