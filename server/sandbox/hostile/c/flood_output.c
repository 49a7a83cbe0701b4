#include <stdio.h>
int main(void) { for (;;) puts("and again"); }
