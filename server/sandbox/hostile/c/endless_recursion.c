#include <stdio.h>
static int deeper(volatile int level) { volatile char room[4096]; room[level % 4096] = 1; return deeper(level + 1) + room[0]; }
int main(void) { puts("begins"); fflush(stdout); return deeper(0); }
