class Pile<T>
{
    T[] items = new T[2];  //> Pile.this=Pile(items=[0, 0], top=0)
    int top;

    public Pile(int first)  //> Pile.this=Pile(items=null, top=0) & Pile.first=1
    {
        top = first;  //> Pile.this=Pile(items=[0, 0], top=1)
    }

    public void Push(T item)  //> Push.this=Pile(items=[0, 0], top=1) & Push.item=7
    {
        items[top++] = item;  //> Push.this=Pile(items=[0, 7], top=2)
    }
}

class Deck
{
    static void Main()  //> -
    {
        var pile = new Pile<int>(1);  //> - ; Main.pile=Pile(items=[0, 0], top=1)
        pile.Push(7);  //> - ; Main.pile=Pile(items=[0, 7], top=2)
    }
}
