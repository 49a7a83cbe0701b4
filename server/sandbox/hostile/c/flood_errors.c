#include <unistd.h>
int main(void) { for (;;) write(2, "and again and again and again and again and again and again and again\n", 70); }
