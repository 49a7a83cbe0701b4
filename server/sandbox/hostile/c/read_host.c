#include <stdio.h>
#include <unistd.h>
int main(void) {
    const char *places[] = { "/etc/passwd", "/etc/shadow", "/root", "/home", "/work", "/var", "/sys/kernel", "/proc/1/environ", "/proc/1/mem", "/proc/kcore" };
    for (int i = 0; i < 10; i++) { FILE *in = fopen(places[i], "r"); if (in && fgetc(in) != EOF) printf("read %s\n", places[i]); }
    symlink("/etc/shadow", "link");
    FILE *in = fopen("link", "r");
    printf("through a link %d, root %d\n", in != NULL, getuid() == 0);
}
