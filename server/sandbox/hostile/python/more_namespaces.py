import ctypes, os
libc = ctypes.CDLL(None, use_errno=True)
print("namespace", libc.unshare(0x10000000), libc.unshare(0x00020000))
print("mount", libc.mount(b"tmpfs", b"/usr", b"tmpfs", 0, None))
print("ptrace", libc.ptrace(16, os.getppid(), 0, 0))
print("root", libc.setuid(0), libc.chroot(b"/tmp"))
