#include <stdio.h>

int load(int cars) {
  int weight = cars * 2;
  return weight;
}

int total(int first, int second) {
  int both = load(first) + load(second);
  return both;
}

int main(void) {
  int result = total(3, 4);
  printf("%d\n", result);
  return 0;
}
