#include <stdio.h>

int main(void)  //> -
{
    int cars = 0;  //> main.cars=0
    printf("Load ");  //> out=Load\s
    cars = 2;  //> main.cars=2
    printf("%d\n", cars);  //> out=2\n
    printf("Then ");  //> out=Then\s & unseen=Then\s
    cars = 4 / (cars - 2);  //> raised=SIGFPE: Floating point exception
    return cars;
}
