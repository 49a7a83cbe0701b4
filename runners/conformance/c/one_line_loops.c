int main(void)  //> -
{
    int total = 0;  //> main.total=0
    for (int i = 1; i < 4; i++) total += i;  //> main.i=1 ; main.total=1 & main.i=2 ; main.total=3 & main.i=3 ; main.total=6 & main.i=4
    while (total > 4) total--;  //> - ; main.total=5 ; main.total=4
    if (total == 4) total = 9;  //> main.total=9
    int low = 1; int high = 2; low = high;  //> main.low=2 & main.high=2
    return low + high - 4;  //> -
}
