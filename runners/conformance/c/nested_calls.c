void set(int *load, int to)  //> set.load=→ deck[1] & set.to=6
{
    *load = to;  //> -
}

void wrap(int *loads)  //> wrap.loads=→ deck
{
    set(&loads[1], 6);  //> - ; -
    loads[0] = 4;  //> -
}

int main(void)  //> -
{
    int deck[2] = {0, 0};  //> main.deck=[0, 0]
    wrap(deck);  //> - ; main.deck=[4, 6]
    return 0;  //> -
}
