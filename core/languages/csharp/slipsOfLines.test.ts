import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const deck = `using System;
using System.Collections.Generic;

class Deck {
    static int Heaviest(int[] loads) {
        int most = loads[0];
        foreach (int load in loads) {
            if (load > most) {
                most = load;
            }
        }
        return most;
    }

    static void Main() {
        int[] loads = {4, 9, 2};
        List<string> names = new List<string>();
        names.Add("Tern");
        string boat = "Gannet";
        int turns = int.Parse(Console.ReadLine());
        for (int i = 0; i < loads.Length; i++) {
            turns += loads[i];
        }
        if (boat == "Gannet" && names.Count == 1) {
            Console.WriteLine("Heaviest " + Heaviest(loads));
        } else {
            Console.WriteLine(turns);
        }
    }
}
`;

// As beginners write them who know another language, or none yet.
slipsOf("csharp", [
  ...slipsIn(deck, [
    ["refused", "other-forms", "foreach (int load in loads) {", "foreach (int load : loads) {"],
    ["refused", "other-forms", "foreach (int load in loads) {", "for (int load in loads) {"],
    ["refused", "other-forms", "foreach (int load in loads) {", "foreach int load in loads {"],
    ["refused", "other-forms", "foreach (int load in loads) {", "foreach (int load of loads) {"],
    ["refused", "other-blocks", "if (load > most) {", "if (load > most) then {"],
    ["refused", "bracket", "if (load > most) {", "if load > most {"],
    ["refused", "other-forms", "if (load > most) {", "if (load > most):"],
    ["refused", "equality-sign", "most = load;", "most == load;"],
    ["refused", "terminator", "most = load;", "most = load"],
    ["refused", "result-type", "static int Heaviest(int[] loads) {", "static void Heaviest(int[] loads) {"],
    ["refused", "other-forms", "static int Heaviest(int[] loads) {", "static Heaviest(int[] loads) {"],
    ["refused", "declaration", "static int Heaviest(int[] loads) {", "int Heaviest(int[] loads) {"],
    ["refused", "other-forms", "static int Heaviest(int[] loads) {", "static int Heaviest(int loads) {"],
    ["refused", "other-forms", "static int Heaviest(int[] loads) {", "static int Heaviest(loads) {"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int[] loads = [4, 9, 2];"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int loads = {4, 9, 2};"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int loads[] = {4, 9, 2};"],
    ["refused", "other-forms", "int[] loads = {4, 9, 2};", "int[] loads = (4, 9, 2);"],
    ["refused", "other-forms", "new List<string>()", "List<string>()"],
    ["refused", "name", 'names.Add("Tern");', 'names.add("Tern");'],
    ["refused", "other-forms", 'names.Add("Tern");', 'names.append("Tern");'],
    ["refused", "quote", 'names.Add("Tern");', "names.Add('Tern');"],
    ["refused", "text-or-number", 'names.Add("Tern");', "names.Add(Tern);"],
    ["refused", "word", 'string boat = "Gannet";', 'str boat = "Gannet";'],
    ["refused", "quote", 'string boat = "Gannet";', "string boat = 'Gannet';"],
    ["refused", "text-or-number", 'string boat = "Gannet";', "string boat = Gannet;"],
    ["refused", "conversion", "int.Parse(Console.ReadLine())", "Console.ReadLine()"],
    ["refused", "other-forms", "int.Parse(Console.ReadLine())", "int(Console.ReadLine())"],
    ["refused", "other-forms", "int.Parse(Console.ReadLine())", "Console.ReadInt()"],
    ["refused", "other-forms", "int.Parse(Console.ReadLine())", "Integer.parseInt(Console.ReadLine())"],
    ["refused", "name", "int.Parse(Console.ReadLine())", "int.parse(Console.ReadLine())"],
    ["refused", "name", "int.Parse(Console.ReadLine())", "int.Parse(Console.Readline())"],
    ["refused", "other-forms", "for (int i = 0; i < loads.Length; i++) {", "for (int i = 0; i < loads.length; i++) {"],
    ["refused", "other-forms", "for (int i = 0; i < loads.Length; i++) {", "for (int i = 0; i < loads.Count; i++) {"],
    ["refused", "comparison", "for (int i = 0; i < loads.Length; i++) {", "for (int i = 0; i <= loads.Length; i++) {"],
    ["refused", "other-forms", "for (int i = 0; i < loads.Length; i++) {", "for (int i = 0, i < loads.Length, i++) {"],
    ["refused", "declaration", "for (int i = 0; i < loads.Length; i++) {", "for (i = 0; i < loads.Length; i++) {"],
    ["refused", "terminator", "for (int i = 0; i < loads.Length; i++) {", "for (int i = 0; i < loads.Length; i++); {"],
    ["refused", "accumulation", "turns += loads[i];", "turns =+ loads[i];"],
    ["refused", "other-forms", "turns += loads[i];", "turns += loads(i);"],
    ["refused", "index-left-out", "turns += loads[i];", "turns += loads;"],
    ["refused", "sign", 'boat == "Gannet"', 'boat = "Gannet"'],
    ["refused", "sign", 'boat == "Gannet"', 'boat === "Gannet"'],
    ["refused", "text-or-number", 'boat == "Gannet"', "boat == Gannet"],
    ["refused", "word", "&&", "and"],
    ["refused", "logic-word", "&&", "||"],
    ["refused", "other-forms", "names.Count == 1", "names.Length == 1"],
    ["refused", "other-forms", "names.Count == 1", "names.size() == 1"],
    ["refused", "sign", "names.Count == 1", "names.Count = 1"],
    ["refused", "name", 'Console.WriteLine("Heaviest "', 'Console.Writeline("Heaviest "'],
    ["refused", "name", 'Console.WriteLine("Heaviest "', 'console.WriteLine("Heaviest "'],
    ["refused", "other-forms", 'Console.WriteLine("Heaviest "', 'System.out.println("Heaviest "'],
    ["refused", "other-forms", 'Console.WriteLine("Heaviest "', 'print("Heaviest "'],
    ["refused", "other-forms", 'Console.WriteLine("Heaviest "', 'Console.Print("Heaviest "'],
    ["refused", "sign", '"Heaviest " + Heaviest(loads)', '"Heaviest " Heaviest(loads)'],
    ["refused", "name", '"Heaviest " + Heaviest(loads)', '"Heaviest " + heaviest(loads)'],
    ["refused", "declaration", "static void Main() {", "void Main() {"],
    ["refused", "name", "static void Main() {", "static void main() {"],
    ["refused", "other-forms", "static void Main() {", "static Main() {"],
    ["refused", "inclusion", "using System;\n", ""],
    ["refused", "other-forms", "using System;", "import System;"],
    ["refused", "bracket", "} else {", "} else"],
    ["refused", "bracket", "} else {", "else {"],
  ]),
]);
