#include <stdlib.h>

struct node {
    int load;
    struct node *next;
};

int main(void)  //> -
{
    struct node last = {2, NULL};  //> main.last=node(load=2, next=NULL)
    struct node first = {1, &last};  //> main.first=node(load=1, next=node(load=2, next=NULL))
    last.load = 5;  //> main.last=node(load=5, next=NULL) & main.first=node(load=1, next=node(load=5, next=NULL))
    first.next = NULL;  //> main.first=node(load=1, next=NULL)
    return 0;  //> -
}
