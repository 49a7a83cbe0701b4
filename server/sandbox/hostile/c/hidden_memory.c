#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <unistd.h>
/* Each child takes a little; together they take far more than is allowed. */
int main(void) {
    puts("begins");
    fflush(stdout);
    for (int child = 0; child < 40; child++)
        if (fork() == 0) {
            char *taken = malloc(40 << 20);
            if (taken) memset(taken, child + 1, 40 << 20);
            sleep(30);
            return 0;
        }
    sleep(30);
    puts("all of it");
}
