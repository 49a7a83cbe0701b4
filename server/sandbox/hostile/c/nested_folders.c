#include <stdio.h>
#include <sys/stat.h>
#include <unistd.h>
int main(void) {
    for (int i = 0; i < 3000; i++) if (mkdir("d", 0700) != 0 || chdir("d") != 0) break;
    puts("left");
    fflush(stdout);
    *(volatile int *)0 = 1;
}
