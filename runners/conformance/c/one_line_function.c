int twice(int n) { int m = n * 2; return m; }  //> twice.n=2 ; twice.m=4

void raise_by(int *load, int by) { *load += by; }  //> raise_by.load=→ deck & raise_by.by=3 ; -

int main(void)  //> -
{
    int deck = twice(2);  //> - ; main.deck=4
    raise_by(&deck, 3);  //> - ; main.deck=7
    return 0;  //> -
}
