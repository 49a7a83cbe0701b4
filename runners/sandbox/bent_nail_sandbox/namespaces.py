"""Namespaces of its own for every job, private folders in them, and no rights left for what runs there (Linux)."""
import ctypes
import math
import os
import resource
import signal
import struct

FOLDER = "/case"
CLONE = 0x10000000 | 0x20000000 | 0x00020000 | 0x08000000  # user, pid, mount and ipc namespaces
MOUNT_FLAGS = 2 | 4  # no set-user-id, no devices
BIND = 4096
MOST_TERMINALS = 8
GIVING_WAY = 10
libc = ctypes.CDLL(None, use_errno=True)
# clone() by hand keeps the interpreter lock: the child goes on as the one thread that it is.
locked_libc = ctypes.PyDLL(None, use_errno=True)
CLONE_CALL = {"x86_64": 56, "aarch64": 220, "riscv64": 220}.get(os.uname().machine)


def must(result, what):
    if result != 0:
        raise OSError(ctypes.get_errno(), what)


def put(path, text):
    with open(path, "w") as target:
        target.write(text)


def fork_into_namespaces():
    """Forks; the child is process 1 of its own user, process, mount and ipc namespaces. Returns 0 in the child."""
    user, group = os.getuid(), os.getgid()
    child = locked_libc.syscall(ctypes.c_long(CLONE_CALL), ctypes.c_long(CLONE | signal.SIGCHLD), None, None, None, ctypes.c_long(0))
    if child < 0:
        raise OSError(ctypes.get_errno(), "clone")
    if child == 0:
        put("/proc/self/setgroups", "deny")
        put("/proc/self/uid_map", "%d %d 1" % (user, user))
        put("/proc/self/gid_map", "%d %d 1" % (group, group))
    return child


def mount_private():
    """What every job has of its own whatever it is: processes, shared memory, a few terminals; and no memory through /dev/zero, which could not be counted."""
    must(libc.mount(b"proc", b"/proc", b"proc", MOUNT_FLAGS | 8, None), "mount proc")
    must(libc.mount(b"tmpfs", b"/dev/shm", b"tmpfs", MOUNT_FLAGS, b"size=1m,nr_inodes=64"), "mount shm")
    must(libc.mount(b"devpts", b"/dev/pts", b"devpts", 2 | 8, b"newinstance,ptmxmode=0666,mode=600,max=%d" % MOST_TERMINALS), "mount pts")
    must(libc.mount(b"/dev/null", b"/dev/zero", None, BIND, None), "cover zero")
    put("/proc/sys/user/max_user_namespaces", "0")


def mount_folders(file_bytes):
    """An empty /tmp of the given size, and in it the case's folder."""
    must(libc.mount(b"tmpfs", b"/tmp", b"tmpfs", MOUNT_FLAGS, b"size=%d,nr_inodes=4096,mode=700" % file_bytes), "mount tmp")
    os.mkdir("/tmp/case", 0o700)
    must(libc.mount(b"/tmp/case", FOLDER.encode(), None, BIND, None), "bind case")


def mount_clean_folder(file_bytes):
    """Lays an empty folder over the case's, whatever a program has left in that."""
    must(libc.mount(b"tmpfs", FOLDER.encode(), b"tmpfs", MOUNT_FLAGS, b"size=%d,nr_inodes=4096,mode=700" % file_bytes), "mount case")


class StepBack:
    """Has whatever runs in this sandbox give way to the server beside it. (Linux groups processes by session where it shares the processor out;
    a group's place can be set ten times a second in the whole system, so one that is refused is asked for again: later, and nobody waits for it.)"""

    def __init__(self):
        self.next = 0.0

    def go_on(self, now):
        """Asks for the place behind the server, unless it has it or asked a moment ago; `now` in seconds of the monotonic clock."""
        if now < self.next:
            return
        self.next = math.inf
        try:
            put("/proc/self/autogroup", str(GIVING_WAY))
        except BlockingIOError:
            self.next = now + 0.11
        except OSError:
            os.nice(GIVING_WAY)


step_back = StepBack()


def drop_rights(limits):
    """No capabilities, no new rights, behind the host in line, and the limits that the kernel keeps for each process."""
    os.nice(GIVING_WAY)
    libc.prctl(38, 1, 0, 0, 0)  # no new privileges: nothing that is started later can have more
    libc.prctl(47, 4, 0, 0, 0)  # and no capability is handed on
    header = struct.pack("=Ii", 0x20080522, 0)
    must(libc.capset(header, bytes(24)), "capset")
    # A virtual machine reserves far more addresses than it uses; there memory is counted by its pages alone.
    space = limits["memoryBytes"] + limits["blockBytes"] + (200 << 20) if limits.get("boundAddresses", True) else resource.RLIM_INFINITY
    for kind, value in ((resource.RLIMIT_AS, space), (resource.RLIMIT_CORE, 0), (resource.RLIMIT_FSIZE, limits["fileBytes"]),
                        (resource.RLIMIT_NOFILE, 256), (resource.RLIMIT_NPROC, limits["processes"]),
                        (resource.RLIMIT_CPU, int(limits["cpuSeconds"]) + 2)):
        resource.setrlimit(kind, (value, value))
