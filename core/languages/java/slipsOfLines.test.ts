import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const deck = `import java.util.*;

public class Deck {
    static int heaviest(int[] loads) {
        int most = loads[0];
        for (int load : loads) {
            if (load > most) {
                most = load;
            }
        }
        return most;
    }

    public static void main(String[] args) {
        Scanner in = new Scanner(System.in);
        int[] loads = {4, 9, 2};
        List<String> names = new ArrayList<>();
        names.add("Tern");
        String boat = "Gannet";
        int turns = in.nextInt();
        double fare = 2.5 * turns;
        while (turns > 0) {
            turns--;
        }
        if (boat.equals("Gannet") && names.size() == 1) {
            System.out.println("Heaviest " + heaviest(loads));
        } else {
            System.out.println(fare);
        }
    }
}
`;

// As beginners write them who know another language, or none yet.
slipsOf("java", [
  ...slipsIn(deck, [
    ["refused", "other-forms", "for (int load : loads) {", "for (int load in loads) {"],
    ["refused", "other-forms", "for (int load : loads) {", "for (int load; loads) {"],
    ["refused", "other-forms", "for (int load : loads) {", "for (int load : loads):"],
    ["refused", "bracket", "if (load > most) {", "if load > most {"],
    ["refused", "other-forms", "if (load > most) {", "if (load > most):"],
    ["refused", "other-blocks", "if (load > most) {", "if (load > most) then {"],
    ["refused", "sign", "if (load > most) {", "if (load => most) {"],
    ["refused", "equality-sign", "most = load;", "most == load;"],
    ["refused", "terminator", "most = load;", "most = load"],
    ["refused", "scope-word", "most = load;", "int most = load;"],
    ["refused", "swapped", "most = load;", "load = most;"],
    ["refused", "other-name", "return most;", "return load;"],
    ["refused", "returned", "return most;", "print(most);"],
    ["refused", "word", "return most;", "Return most;"],
    ["refused", "other-forms", "static int heaviest(int[] loads) {", "static heaviest(int[] loads) {"],
    ["refused", "result-type", "static int heaviest(int[] loads) {", "static void heaviest(int[] loads) {"],
    ["refused", "declaration", "static int heaviest(int[] loads) {", "int heaviest(int[] loads) {"],
    ["refused", "other-forms", "static int heaviest(int[] loads) {", "static int heaviest(int loads) {"],
    ["refused", "other-forms", "static int heaviest(int[] loads) {", "static int heaviest(loads) {"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int[] loads = [4, 9, 2];"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int[] loads = (4, 9, 2);"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int loads = {4, 9, 2};"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int loads[3] = {4, 9, 2};"],
    ["refused", "sign", "int[] loads = {4, 9, 2};", "int[] loads == {4, 9, 2};"],
    ["refused", "declaration", "int[] loads = {4, 9, 2};", "String[] loads = {4, 9, 2};"],
    ["refused", "other-forms", "List<String> names = new ArrayList<>();", "List<String> names = ArrayList<>();"],
    ["refused", "name", "List<String> names = new ArrayList<>();", "List<string> names = new ArrayList<>();"],
    ["refused", "other-forms", "List<String> names = new ArrayList<>();", "List<String> names = new List<>();"],
    ["refused", "other-forms", 'names.add("Tern");', 'names.append("Tern");'],
    ["refused", "quote", 'names.add("Tern");', "names.add('Tern');"],
    ["refused", "text-or-number", 'names.add("Tern");', "names.add(Tern);"],
    ["refused", "other-forms", 'names.add("Tern");', 'names.Add("Tern");'],
    ["refused", "name", 'names.add("Tern");', 'name.add("Tern");'],
    ["refused", "name", 'String boat = "Gannet";', 'string boat = "Gannet";'],
    ["refused", "quote", 'String boat = "Gannet";', "String boat = 'Gannet';"],
    ["refused", "text-or-number", 'String boat = "Gannet";', "String boat = Gannet;"],
    ["refused", "declaration", 'String boat = "Gannet";', 'char boat = "Gannet";'],
    ["refused", "name", "in.nextInt()", "in.nextint()"],
    ["refused", "name", "in.nextInt()", "in.nextLine()"],
    ["refused", "call-brackets", "in.nextInt()", "in.nextInt"],
    ["refused", "other-forms", "in.nextInt()", "nextInt()"],
    ["refused", "other-forms", "new Scanner(System.in)", "new Scanner()"],
    ["refused", "other-forms", "new Scanner(System.in)", "Scanner(System.in)"],
    ["refused", "inclusion", "import java.util.*;\n", ""],
    ["refused", "declaration", "double fare", "int fare"],
    ["refused", "bracket", "while (turns > 0) {", "while turns > 0 {"],
    ["refused", "other-blocks", "while (turns > 0) {", "while (turns > 0) do {"],
    ["refused", "comparison", "while (turns > 0) {", "while (turns < 0) {"],
    ["refused", "accumulation", "turns--;", "turns++;"],
    ["refused", "other-forms", "turns--;", "turns-;"],
    ["refused", "other-forms", 'boat.equals("Gannet")', 'boat == "Gannet"'],
    ["refused", "name", 'boat.equals("Gannet")', 'boat.equal("Gannet")'],
    ["refused", "other-forms", 'boat.equals("Gannet")', 'boat = "Gannet"'],
    ["refused", "word", "&&", "and"],
    ["refused", "logic-word", "&&", "&"],
    ["refused", "logic-word", "&&", "||"],
    ["refused", "other-forms", "names.size() == 1", "names.length == 1"],
    ["refused", "other-forms", "names.size() == 1", "names.size == 1"],
    ["refused", "sign", "names.size() == 1", "names.size() = 1"],
    ["refused", "other-forms", "names.size() == 1", "len(names) == 1"],
    ["refused", "name", 'System.out.println("Heaviest "', 'System.out.printIn("Heaviest "'],
    ["refused", "name", 'System.out.println("Heaviest "', 'system.out.println("Heaviest "'],
    ["refused", "other-forms", 'System.out.println("Heaviest "', 'System.println("Heaviest "'],
    ["refused", "other-forms", 'System.out.println("Heaviest "', 'print("Heaviest "'],
    ["refused", "sign", '"Heaviest " + heaviest(loads)', '"Heaviest " heaviest(loads)'],
    ["refused", "other-forms", '"Heaviest " + heaviest(loads)', '"Heaviest ", heaviest(loads)'],
    ["refused", "other-forms", '"Heaviest " + heaviest(loads)', '"Heaviest " + heaviest[loads]'],
    ["refused", "bracket", "} else {", "else {"],
    ["refused", "word", "} else {", "} els {"],
    ["refused", "bracket", "} else {", "} else"],
    ["refused", "other-forms", "public static void main(String[] args)", "public static main(String[] args)"],
    ["refused", "other-forms", "public static void main(String[] args)", "public static void main(String args)"],
    ["refused", "declaration", "public static void main(String[] args)", "public void main(String[] args)"],
  ]),
]);
