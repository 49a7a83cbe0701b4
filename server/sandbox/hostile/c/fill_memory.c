#include <stdio.h>
#include <stdlib.h>
#include <string.h>
int main(void) {
    printf("begins\n");
    for (;;) { char *p = malloc(1 << 20); if (p) memset(p, 1, 1 << 20); }
}
