struct load {
    int weight;
    int items[2];
};

int heavier(struct load load)  //> heavier.load=load(weight=3, items=[1, 2])
{
    load.weight = 9;  //> heavier.load=load(weight=9, items=[1, 2])
    load.items[0] = 5;  //> heavier.load=load(weight=9, items=[5, 2])
    return load.weight;  //> -
}

int main(void)  //> -
{
    struct load deck = {3, {1, 2}};  //> main.deck=load(weight=3, items=[1, 2])
    int weight = heavier(deck);  //> - ; main.weight=9
    return 0;  //> -
}
