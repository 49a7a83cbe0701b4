#include <stdio.h>

int main(void)  //> -
{
    for (int car = 1; car < 3; car++)  //> main.car=1 ; main.car=2 ; main.car=3
        printf("%d ", car);  //> out=1\s ; out=2\s
    printf("cars");  //> out=cars
    return 0;  //> -
}
