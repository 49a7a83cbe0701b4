int find(const int *loads, int count, int wanted)  //> find.loads=→ deck & find.count=3 & find.wanted=5
{
    for (int place = 0; place < count; place++)  //> find.place=0 ; find.place=1
        if (loads[place] == wanted)  //> - ; -
            return place;  //> -
    return -1;
}

int main(void)  //> -
{
    int deck[3] = {3, 5, 7};  //> main.deck=[3, 5, 7]
    int at = find(deck, 3, 5);  //> - ; main.at=1
    return 0;  //> -
}
