#include <stdio.h>

/* Debug information that leads nowhere, beside that of the compiler: lengths past the end, codes that are not there. */
__asm__(".pushsection .debug_info,\"\",@progbits\n"
        ".long 60\n.value 4\n.long 0x7fffff00\n.byte 8\n.uleb128 0x3fff\n.zero 40, 0xff\n"
        ".long 0x0fffffff\n.value 4\n.long 0\n.byte 8\n.uleb128 1\n.zero 400, 0xff\n"
        ".popsection");

int main(void) {
  int deck = 4;
  printf("Deck %d\n", deck);
  return 0;
}
