#include <stdio.h>
#include <string.h>

int main(void)  //> -
{
    char ship[8] = "Tern";  //> main.ship="Tern"
    char *name = ship;  //> main.name="Tern"
    ship[0] = 'F';  //> main.ship="Fern" & main.name="Fern"
    strcat(ship, "y");  //> main.ship="Ferny" & main.name="Ferny"
    name++;  //> main.name="erny"
    char letter = *name;  //> main.letter='e'
    unsigned char bare = 7;  //> main.bare=7
    printf("%s %c %d\n", ship, letter, bare);  //> out=Ferny e 7\n
    return 0;  //> -
}
