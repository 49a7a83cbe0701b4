int next(void)  //> - ; -
{
    static int number = 4;
    number++;  //> next.number=5 ; next.number=6
    return number;  //> - ; -
}

int main(void)  //> -
{
    int first = next();  //> - ; main.first=5
    int second = next();  //> - ; main.second=6
    return 0;  //> -
}
