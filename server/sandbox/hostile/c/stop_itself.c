#include <signal.h>
#include <stdio.h>
int main(void) { puts("before"); fflush(stdout); raise(SIGSTOP); puts("after"); }
