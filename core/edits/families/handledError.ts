import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

/** The kinds of error that the handlers of a program name, with their places: what stands between the word and the block. */
function namedErrors(context: EditContext): Array<{ from: number; to: number; name: string }> {
  const { errors } = context.writing;
  if (!errors) return [];
  return ofKind(context, "try").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    return [...text.matchAll(errors.head)].flatMap((found) => {
      const name = found[1] ?? "";
      const from = node.from + found.index + found[0].lastIndexOf(name);
      return name === "" ? [] : [{ from, to: from + name.length, name }];
    });
  });
}

/** Another one of the errors that programs of students meet. */
function others(context: EditContext): Proposal[] {
  return namedErrors(context).flatMap(({ from, to, name }) =>
    (context.writing.errors?.usual ?? []).flatMap((other) =>
      other === name ? [] : [change({ from, to }, other, { before: name, after: other })],
    ),
  );
}

/** A handler that waits for another error than the one that comes. */
export const handledError: EditFamily = {
  id: "handled-error",
  says: "a handler for another error than the one that comes",
  weight: 5,
  reads: "tree",
  mends: others,
  plants: others,
  examples: [
    {
      language: "python",
      right: "try:\n    n = int(text)\nexcept ValueError:\n    n = 0\n",
      faulty: "try:\n    n = int(text)\nexcept TypeError:\n    n = 0\n",
    },
    {
      language: "java",
      right:
        "class Main { void f(String t) { try { n = Integer.parseInt(t); } catch (NumberFormatException e) { n = 0; } } }",
      faulty:
        "class Main { void f(String t) { try { n = Integer.parseInt(t); } catch (ArithmeticException e) { n = 0; } } }",
    },
    {
      language: "csharp",
      right: "class P { void F(string t) { try { n = int.Parse(t); } catch (FormatException) { n = 0; } } }",
      faulty: "class P { void F(string t) { try { n = int.Parse(t); } catch (IndexOutOfRangeException) { n = 0; } } }",
    },
  ],
};
