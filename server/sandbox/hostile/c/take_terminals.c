#define _XOPEN_SOURCE 600
#include <fcntl.h>
#include <stdio.h>
#include <stdlib.h>
#include <unistd.h>
int main(void) {
    int taken = 0;
    while (taken < 5000 && posix_openpt(O_RDWR) >= 0) taken++;
    usleep(300000);
    printf("few %d\n", taken <= 8);
}
