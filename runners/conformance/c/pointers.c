#include <stddef.h>

int main(void)  //> -
{
    int deck = 4;  //> main.deck=4
    int *to = &deck;  //> main.to=→ deck
    *to = 7;  //> main.deck=7
    int loads[2] = {1, 2};  //> main.loads=[1, 2]
    to = &loads[1];  //> main.to=→ loads[1]
    (*to)++;  //> main.loads=[1, 3]
    to = NULL;  //> main.to=NULL
    return 0;  //> -
}
