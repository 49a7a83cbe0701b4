#include <stdio.h>

int main(void)  //> -
{
    int cars, more;
    printf("Cars? ");  //> out=Cars?\s
    scanf("%d", &cars);  //> main.cars=4 & in=4
    while (cars > 3)  //> - ; -
    {
        printf("Less: ");  //> out=Less:\s
        scanf("%d", &more);  //> main.more=1 & in=1
        cars = more;  //> main.cars=1
    }
    return 0;  //> -
}
