import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { type Elsewhere, readElsewhere } from "../elsewhere.ts";
import { smallForms } from "../smallForms.ts";
import { wordsForNames } from "../wordsForNames.ts";

const pairsOf = ({ writing }: EditContext): readonly Elsewhere[] => writing.elsewhere ?? [];

/** What another language calls something, as this one has it. */
function asHere(context: EditContext): Proposal[] {
  return pairsOf(context).flatMap(([other, own]) => {
    // Where this language has several for it, none is surely meant.
    const several = pairsOf(context).filter(([each]) => each === other).length;
    return readElsewhere(context, other, own).map((place) =>
      change(place, place.text, { before: other, after: own }, several > 1 ? 2 : 3),
    );
  });
}

/** The other way: what this language has, as another one writes it. */
function asElsewhere(context: EditContext): Proposal[] {
  return pairsOf(context).flatMap(([other, own]) =>
    readElsewhere(context, own, other).map((place) => change(place, place.text, { before: own, after: other })),
  );
}

export const otherForms: EditFamily = {
  id: "other-forms",
  says: "a form that another language has, or a word of the language in the place of a name",
  weight: 8,
  reads: "both",
  mends: (context) => [...asHere(context), ...wordsForNames(context), ...smallForms(context)],
  plants: asElsewhere,
  examples: [
    { language: "python", right: "cars.append(4)\n", faulty: "cars.push(4)\n" },
    { language: "python", right: "n = len(cars)\n", faulty: "n = cars.length\n" },
    { language: "python", right: "n = len(decks[2].cars)\n", faulty: "n = decks[2].cars.size()\n" },
    {
      language: "java",
      right: "class A { void f(int[] a) { g(a.length); } }",
      faulty: "class A { void f(int[] a) { g(len(a)); } }",
    },
    {
      language: "java",
      right: 'class A { void f() { System.out.println("a"); } }',
      faulty: 'class A { void f() { print("a"); } }',
    },
    {
      language: "csharp",
      right: 'class A { void F() { Console.WriteLine("a"); } }',
      faulty: 'class A { void F() { System.out.println("a"); } }',
    },
    { language: "c", right: 'void f(void) { printf("a"); }', faulty: 'void f(void) { print("a"); }' },
    { language: "pascal", right: "begin\n  writeln(a);\nend.", faulty: "begin\n  print(a);\nend." },
    { language: "octave", right: "disp(length(a));\n", faulty: "disp(len(a));\n" },
  ],
};
