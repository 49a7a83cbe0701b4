#include <stdio.h>
#include <sys/stat.h>
#include <unistd.h>
int main(void) {
    if (fork() == 0) {
        setsid();
        if (fork() == 0) { for (;;) { FILE *out = fopen("/tmp/left_behind", "w"); if (out) fclose(out); } }
        _exit(0);
    }
    FILE *out = fopen("/dev/shm/left_behind", "w");
    if (out) fclose(out);
    puts("left");
}
