#include <stdio.h>

int load(int cars)  //> load.cars=3 ; load.cars=4
{
    int weight = cars * 2;  //> load.weight=6 ; load.weight=8
    return weight;  //> - ; -
}

int main(void)  //> -
{
    int both = load(3) + load(4);  //> - ; - ; main.both=14
    printf("%d\n", both);  //> out=14\n
    return 0;  //> -
}
