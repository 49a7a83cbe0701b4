using System.Text;

class Deck
{
    static void Main()  //> -
    {
        string ship = "Tern";  //> Main.ship="Tern"
        ship += "'s";  //> Main.ship="Tern's"
        char letter = ship[1];  //> Main.letter='e'
        letter++;  //> Main.letter='f'
        string two = "a\n\"b\"";  //> Main.two="a\\n\\"b\\""
        var line = new StringBuilder("x");  //> Main.line=StringBuilder(text="x")
        line.Append(ship);  //> Main.line=StringBuilder(text="xTern's")
        string none = null;  //> Main.none=null
        string told = $"{ship}: {letter}";  //> Main.told="Tern's: f"
    }
}
