#include <errno.h>
#include <fcntl.h>
#include <stdio.h>
#include <sys/mount.h>
#include <sys/stat.h>
#include <sys/syscall.h>
#include <sys/sysmacros.h>
#include <unistd.h>
int main(void) {
    printf("mknod %d\n", mknod("disk", S_IFBLK | 0600, makedev(8, 0)));
    printf("mem %d\n", open("/dev/mem", O_RDONLY));
    printf("mount %d\n", mount("none", "/tmp", "tmpfs", 0, 0));
    printf("namespace %ld\n", syscall(SYS_unshare, 0x10000000));
    printf("ring %ld\n", syscall(425, 8, 0));
    printf("bpf %ld\n", syscall(SYS_bpf, 0, 0, 0));
    printf("root %d %d\n", setuid(0), setgid(0));
    printf("chroot %d\n", chroot("/tmp"));
}
