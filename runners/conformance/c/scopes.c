int main(void)  //> -
{
    int load = 1;  //> main.load=1
    {
        int inner = load + 1;  //> main.inner=2
        load = inner * 2;  //> main.load=4
    }
    for (int k = 0; k < 1; k++)  //> main.k=0 ; main.k=1
    {
        int half = load / 2;  //> main.half=2
        load = half;  //> main.load=2
    }
    return 0;  //> -
}
