int main(void)  //> -
{
    int total;
    int loads[3];
    loads[1] = 4;  //> main.loads=[?, 4, ?]
    total = 2;  //> main.total=2
    for (int i = 0; i < 3; i += 2)  //> main.i=0 ; main.i=2 ; main.i=4
        loads[i] = total;  //> main.loads=[2, 4, ?] ; main.loads=[2, 4, 2]
    return 0;  //> -
}
