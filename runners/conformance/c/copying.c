int main(void)  //> -
{
    int loads[3] = {1, 2, 3}, other[3] = {0};  //> main.loads=[1, 2, 3] & main.other=[0, 0, 0]
    int *from = loads, *to = other;  //> main.from=→ loads & main.to=→ other
    while (from < loads + 2)  //> - ; - ; -
        *to++ = *from++;  //> main.other=[1, 0, 0] & main.from=→ loads[1] & main.to=→ other[1] ; main.other=[1, 2, 0] & main.from=→ loads[2] & main.to=→ other[2]
    return 0;  //> -
}
