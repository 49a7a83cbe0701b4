#include <stdio.h>
#include <stdlib.h>
#include <unistd.h>
int main(void) {
    if (fork() == 0) {
        setsid();
        if (fork() == 0) execl("/bin/sh", "sh", "-c", "sleep 1; echo late; while true; do :; done", (char *)0);
        _exit(0);
    }
    puts("first");
    fflush(stdout);
    execl("/bin/sh", "sh", "-c", "echo second; exit 3", (char *)0);
}
