#include <fcntl.h>
#include <stdio.h>
#include <string.h>
#include <unistd.h>
int main(void) {
    char line[64];
    ssize_t size = read(0, line, sizeof line);
    printf("first %.*s", (int)size, line);
    size = read(dup(0), line, sizeof line);
    printf("copy %.*s", (int)size, line);
    size = read(open("/dev/stdin", O_RDONLY), line, sizeof line);
    printf("name %.*s", (int)size, line);
    FILE *other = fopen("/dev/fd/0", "r");
    if (fgets(line, sizeof line, other)) printf("number %s", line);
    if (!fgets(line, sizeof line, other)) puts("end");
}
