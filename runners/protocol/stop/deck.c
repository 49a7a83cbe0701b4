#include <stdio.h>

int share(int weight, int boats) {
  int part = weight / boats;
  return part;
}

int main(void) {
  int first = share(8, 2);
  printf("%d\n", first);
  int second = share(8, 0);
  printf("%d\n", second);
  return 0;
}
