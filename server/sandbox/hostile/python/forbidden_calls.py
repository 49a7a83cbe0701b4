import ctypes
import os

libc = ctypes.CDLL(None, use_errno=True)
call = libc.syscall
calls = {"io_uring_setup": (425, 8, 0), "userfaultfd": (323, 0), "add_key": (248, b"user", b"k", b"v", 1, -5), "keyctl": (250, 0, -3, 1), "ptrace": (101, 0, 0, 0),
         "mount": (165, b"none", b"/tmp", b"tmpfs", 0, 0), "bpf": (321, 0, 0, 0), "unshare": (272, 0x10000000), "setns": (308, 0, 0), "perf_event_open": (298, 0, 0, -1, -1, 0),
         "memfd_create": (319, b"m", 0), "process_vm_readv": (310, os.getppid(), 0, 0, 0, 0, 0), "chroot": (161, b"/tmp"), "clone into a namespace": (56, 0x10000000 | 17, 0, 0, 0, 0),
         "the x32 way in": (0x40000000 | 39,)}
for name, arguments in calls.items():
    if call(*arguments) != -1:
        print(name, "was let through")
print("done")
