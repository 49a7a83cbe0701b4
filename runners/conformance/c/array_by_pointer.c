void fill(int loads[], int count)  //> fill.loads=→ deck & fill.count=2
{
    for (int car = 0; car < count; car++)  //> fill.car=0 ; fill.car=1 ; fill.car=2
        loads[car] = car + 5;  //> - ; -
}

int main(void)  //> -
{
    int deck[3] = {0, 0, 9};  //> main.deck=[0, 0, 9]
    fill(deck, 2);  //> - ; main.deck=[5, 6, 9]
    deck[2]++;  //> main.deck=[5, 6, 10]
    return 0;  //> -
}
