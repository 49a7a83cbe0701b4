#define _GNU_SOURCE
#include <fcntl.h>
#include <stdio.h>
#include <string.h>
#include <sys/mman.h>
#include <sys/msg.h>
#include <sys/shm.h>
#include <unistd.h>
int main(void) {
    int zero = open("/dev/zero", O_RDWR);
    printf("anonymous %d\n", mmap(0, 64 << 20, PROT_READ | PROT_WRITE, MAP_SHARED | MAP_ANONYMOUS, -1, 0) != MAP_FAILED);
    printf("zero %d\n", mmap(0, 64 << 20, PROT_READ | PROT_WRITE, MAP_SHARED, zero, 0) != MAP_FAILED);
    printf("system v %d %d\n", shmget(IPC_PRIVATE, 64 << 20, 0600) >= 0, msgget(IPC_PRIVATE, 0600) >= 0);
    printf("own %d\n", mmap(0, 1 << 20, PROT_READ | PROT_WRITE, MAP_PRIVATE | MAP_ANONYMOUS, -1, 0) != MAP_FAILED);
}
