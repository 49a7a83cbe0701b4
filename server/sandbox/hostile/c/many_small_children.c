#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <unistd.h>
int main(void) {
    for (int i = 0; i < 40; i++)
        if (fork() == 0) {
            char *held = malloc(12 << 20);
            memset(held, 1, 12 << 20);
            sleep(20);
            return 0;
        }
    sleep(20);
    printf("all of them\n");
}
