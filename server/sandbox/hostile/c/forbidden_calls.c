#define _GNU_SOURCE
#include <stdio.h>
#include <sys/syscall.h>
#include <unistd.h>
static void tried(const char *name, long result) { if (result != -1) printf("%s was let through\n", name); }
int main(void) {
    char place[128] = {0};
    tried("io_uring_setup", syscall(425, 8, place));
    tried("userfaultfd", syscall(323, 0));
    tried("add_key", syscall(248, "user", "k", "v", 1, -5));
    tried("keyctl", syscall(250, 0, -3, 1));
    tried("ptrace", syscall(101, 0, 0, 0, 0));
    tried("mount", syscall(165, "none", "/tmp", "tmpfs", 0, 0));
    tried("bpf", syscall(321, 0, place, 64));
    tried("unshare", syscall(272, 0x10000000));
    tried("perf_event_open", syscall(298, place, 0, -1, -1, 0));
    tried("memfd_create", syscall(319, "m", 0));
    tried("chroot", syscall(161, "/tmp"));
    tried("namespace", syscall(56, 0x10000000 | 17, 0, 0, 0, 0));
    tried("clone3", syscall(435, place, 64));
    tried("x32", syscall(0x40000000 | 39));
    puts("done");
}
