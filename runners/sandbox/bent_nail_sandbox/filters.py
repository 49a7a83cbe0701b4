"""The filter of system calls that every program of a student runs under, in every language (Linux seccomp, classic BPF).

Refused is what no such program needs and what reaches deep into the kernel, looks into other processes, makes namespaces or mounts, or
takes memory that belongs to no process and so cannot be counted: descriptors of memory (memfd_create), System V memory and messages, and
anonymous memory that is shared. (The memory of /dev/zero, shared, is the same; that device is covered, see namespaces.py. Files in /tmp
and /dev/shm are bounded by their own size.)
"""
import ctypes
import errno
import os
import struct

MACHINE = os.uname().machine
AUDIT = {"x86_64": 0xC000003E, "aarch64": 0xC00000B7}
NOTIFY, ALLOW = 0x7FC00000, 0x7FFF0000
REFUSE, UNKNOWN = 0x00050000 | errno.EPERM, 0x00050000 | errno.ENOSYS
NEW_NAMESPACES = 0x7E020000
SHARED_ANONYMOUS = 0x21
# Numbers on x86-64 and on aarch64 (arch/x86/entry/syscalls/syscall_64.tbl, include/uapi/asm-generic/unistd.h).
REFUSED = {
    "io_uring_setup": (425, 425), "io_uring_enter": (426, 426), "io_uring_register": (427, 427),
    "userfaultfd": (323, 282), "perf_event_open": (298, 241), "bpf": (321, 280), "add_key": (248, 217),
    "request_key": (249, 218), "keyctl": (250, 219), "process_vm_readv": (310, 270),
    "process_vm_writev": (311, 271), "kcmp": (312, 272), "mount": (165, 40), "umount2": (166, 39),
    "pivot_root": (155, 41), "chroot": (161, 51), "open_tree": (428, 428), "move_mount": (429, 429),
    "fsopen": (430, 430), "fsconfig": (431, 431), "fsmount": (432, 432), "fspick": (433, 433),
    "mount_setattr": (442, 442), "unshare": (272, 97), "setns": (308, 268), "memfd_create": (319, 279),
    "memfd_secret": (447, 447), "shmget": (29, 194), "shmat": (30, 196), "msgget": (68, 186),
    "mq_open": (240, 180), "name_to_handle_at": (303, 264), "open_by_handle_at": (304, 265),
    "pidfd_getfd": (438, 438), "process_madvise": (440, 440), "init_module": (175, 105),
    "finit_module": (313, 273), "kexec_load": (246, 104), "swapon": (167, 224), "reboot": (169, 142),
    "quotactl": (179, 60), "fanotify_init": (300, 262), "acct": (163, 89),
}
OTHERS = {
    "x86_64": {"seccomp": 317, "ptrace": 101, "clone": 56, "clone3": 435, "mmap": 9, "read": 0, "readv": 19, "write": 1, "writev": 20},
    "aarch64": {"seccomp": 277, "ptrace": 117, "clone": 220, "clone3": 435, "mmap": 222, "read": 63, "readv": 65, "write": 64, "writev": 66},
}
FIRST_ARGUMENT, FOURTH_ARGUMENT = 16, 40
libc = ctypes.CDLL(None, use_errno=True)


def instruction(code, if_true, if_false, value):
    return struct.pack("=HBBI", code, if_true, if_false, value)


def load(offset):
    return instruction(0x20, 0, 0, offset)


def equal(value, if_true, if_false):
    return instruction(0x15, if_true, if_false, value)


def give(value):
    return instruction(0x06, 0, 0, value)


def refusals(debugger):
    """The instructions that refuse; whatever goes on after them has the call's number loaded. `debugger`: the process may trace others."""
    calls = OTHERS[MACHINE]
    program = [load(4), equal(AUDIT[MACHINE], 1, 0), give(REFUSE), load(0)]
    if MACHINE == "x86_64":
        program += [instruction(0x35, 0, 1, 0x40000000), give(REFUSE)]  # the numbers of the x32 way in
    numbers = [pair[MACHINE == "aarch64"] for pair in REFUSED.values()] + ([] if debugger else [calls["ptrace"]])
    for number in numbers:
        program += [equal(number, 0, 1), give(REFUSE)]
    # The library goes back to clone, whose flags can be looked at.
    program += [equal(calls["clone3"], 0, 1), give(UNKNOWN)]
    program += [equal(calls["clone"], 0, 4), load(FIRST_ARGUMENT), instruction(0x45, 0, 1, NEW_NAMESPACES), give(REFUSE), load(0)]
    program += [equal(calls["mmap"], 0, 5), load(FOURTH_ARGUMENT), instruction(0x54, 0, 0, SHARED_ANONYMOUS), equal(SHARED_ANONYMOUS, 0, 1), give(REFUSE), load(0)]
    return program


def made_ready(program):
    """Instructions as the kernel takes them: a header that points to them. Made once, so that a fork has nothing left to put together."""
    code = b"".join(program)
    buffer = ctypes.create_string_buffer(code, len(code))
    return struct.pack("@HxxxxxxP", len(code) // 8, ctypes.addressof(buffer)), buffer


def install(ready, listener=False):
    """Puts instructions (made_ready) before all calls of this process and of what it starts. Returns the descriptor of the notices, if `listener`."""
    found = libc.syscall(ctypes.c_long(OTHERS[MACHINE]["seccomp"]), ctypes.c_uint(1), ctypes.c_uint(8 if listener else 0), ctypes.c_char_p(ready[0]))
    if found < 0:
        raise OSError(ctypes.get_errno(), "seccomp")
    return found


REFUSALS = made_ready(refusals(False) + [give(ALLOW)])


def refuse():
    """The filter without notices: for a program inside the process of its interpreter, and for what a debugger of ours starts."""
    install(REFUSALS)
