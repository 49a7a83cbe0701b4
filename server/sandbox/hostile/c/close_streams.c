#include <stdio.h>
#include <unistd.h>
int main(void) { puts("before"); fflush(stdout); for (int i = 0; i < 200; i++) close(i); puts("after"); for (;;) read(0, 0, 0); }
