public class Main {
    static int count;

    static int read(String text) {  //> read.text="4" ; read.text="x"
        try {
            return Integer.parseInt(text);  //> - ; - ; raised=NumberFormatException: For input string: "x"
        } catch (NumberFormatException problem) {  //> read.problem=NumberFormatException: For input string: "x"
            return 0;  //> - ; -
        } finally {
            count++;  //> count=1 ; count=2
        }
    }

    public static void main(String[] args) {  //> -
        int first = read("4");  //> - ; main.first=4
        int second = read("x");  //> - ; main.second=0
    }
}
