public class Main {
    public static void main(String[] args) {  //> -
        String ship = "Tern";  //> main.ship="Tern"
        ship += "'s";  //> main.ship="Tern's"
        char letter = ship.charAt(1);  //> main.letter='e'
        letter++;  //> main.letter='f'
        String two = "a\n\"b\"";  //> main.two="a\\n\\"b\\""
        StringBuilder line = new StringBuilder("x");  //> main.line=StringBuilder(text="x")
        line.append(ship);  //> main.line=StringBuilder(text="xTern's")
        String none = null;  //> main.none=null
    }
}
