#include <stdio.h>

int main(void) {
  int cars = 0;
  int weight = 1;
  while (cars < 4) {
    cars = cars + 1;
    if (cars % 2 == 0) {
      weight = weight * cars;
    }
  }
  printf("%d %d\n", cars, weight);
  return 0;
}
