#include <stdio.h>

int main(void) {
  int cars = 0;
  printf("Cars? ");
  scanf("%d", &cars);
  int weight = cars * 2;
  printf("Load %d\n", weight);
  return 0;
}
