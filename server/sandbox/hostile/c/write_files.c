#include <errno.h>
#include <stdio.h>
#include <string.h>
int main(void) {
    static char data[100000];
    char name[40];
    int written = 0;
    for (; written < 10000; written++) {
        sprintf(name, "file%d", written);
        FILE *target = fopen(name, "w");
        if (!target || fwrite(data, 1, sizeof data, target) < sizeof data || fflush(target)) break;
        fclose(target);
    }
    printf("stopped in bounds: %d\n", written <= 167);
    const char *places[] = { "/usr/x", "/etc/x", "/x", "/dev/x", "/runner/x", "/proc/sys/kernel/hostname" };
    for (int i = 0; i < 6; i++) { FILE *out = fopen(places[i], "w"); if (out) printf("wrote %s\n", places[i]); }
}
