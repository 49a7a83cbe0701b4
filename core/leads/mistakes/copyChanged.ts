import type { EditContext } from "../../edits/edit.ts";
import { calledName, namesIn, ofKind } from "../../edits/places.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

const plainTypes = /^(?:int|long|short|double|float|char|bool|boolean|integer|real)$/i;

/** True for a function of which nothing is seen outside: it calls nothing and gives only names of its own a value. */
function changesOwnNamesOnly(context: EditContext, node: SyntaxNode): boolean {
  const all = nodesOf(node);
  if (all.some(({ kind }) => kind === "call" || kind === "return")) return false;
  const { wholeProgram } = context.writing;
  if (wholeProgram && new RegExp(String.raw`\b${wholeProgram.word}\b`).test(context.sourceOf(node))) return false;
  const declared = all.flatMap((each) =>
    each.kind === "declaration" || each.kind === "parameter" ? [each.sign ?? "", ...namesIn(each)] : [],
  );
  const byAssignment = context.writing.variables === "by assignment";
  return all.every((each) => {
    const target = each.kind === "assignment" ? each.children[0] : undefined;
    if (!target) return true;
    return target.kind === "name" && (byAssignment || declared.includes(target.sign ?? ""));
  });
}

/** A function that gives nothing back and shows nothing, and changes its own copy of what it was given. */
export const copyChanged: Mistake = {
  id: "value-parameter-changed",
  weight: 94,
  find: (context) =>
    ofKind(context, "function").flatMap(({ node }) => {
      const body = part(node, "body");
      if (!body) return [];
      const inside = nodesOf(body);
      const shows = inside.some(
        (each) =>
          (each.kind === "return" && each.children.length > 0) ||
          (each.kind === "call" && context.writing.library.prints(calledName(each))),
      );
      const own = node.children.find((child) => child.role === "definition");
      // In some languages what is given back is named before the function.
      if (shows || node.children.some((child) => child.kind === "parameter" && own && child.to <= own.from)) return [];
      const isForItself = changesOwnNamesOnly(context, node);
      const typed = context.writing.types.length > 0;
      const groups = context.text.slice(node.from, body.from).split(/[;()]/).slice(1);
      return node.children
        .filter((child) => child.kind === "parameter")
        .flatMap((parameter) => {
          const name = parameter.sign ?? "";
          // Some languages write the type once, behind several names.
          const group = groups.find((each) => each.split(/[^\p{L}\p{N}_]+/u).includes(name)) ?? "";
          const written = parameter.children.length > 0 ? context.sourceOf(parameter) : group;
          const type =
            parameter.children.find((child) => child.kind === "type")?.sign ?? /:\s*(\w+)/.exec(written)?.[1] ?? "";
          const isWhole = context.writing.handsPlace !== undefined && !plainTypes.test(type);
          if (typed && !isWhole && !plainTypes.test(type)) return [];
          if (/[*&[]|\b(?:var|ref|byref|out)\b/i.test(written)) return [];
          const given = inside.filter(
            (each) =>
              each.kind === "assignment" &&
              ((each.children[0]?.kind === "name" && each.children[0].sign === name) ||
                (isWhole && each.children[0]?.kind === "index" && namesIn(each.children[0]).includes(name))),
          );
          // What is worked with afterwards was changed for that, as where a name is cleaned before it is kept.
          const isUsed = inside.some(
            (each) =>
              each.kind === "name" &&
              each.sign === name &&
              !given.some((assignment) => assignment.from <= each.from && each.to <= assignment.to),
          );
          const last = isUsed && !isForItself ? undefined : given.at(-1);
          return name && last
            ? [
                {
                  // Where a word in the header hands the thing itself, the header is what lacks it.
                  line: context.lineOf(context.writing.handsPlace ? (own?.from ?? node.from) : last.from),
                  why: `“${name}” is a copy of its own here; what the function was called with stays as it was.`,
                },
              ]
            : [];
        });
    }),
  examples: [
    { language: "c", text: "void add(int total, int load) {\n  total = total + load;\n}\n", line: 2 },
    { language: "pascal", text: "procedure add(t, n: integer);\nbegin\n  t := t + n;\nend;\nbegin\nend.", line: 1 },
    {
      language: "pascal",
      text: "procedure raise(t: levels);\nbegin\n  t[1] := t[1] + 2;\nend;\nbegin\nend.",
      line: 1,
    },
    {
      language: "pascal",
      text: "procedure swap(a, b: boat);\nvar\n  kept: boat;\nbegin\n  kept := a;\n  a := b;\n  b := kept;\nend;\nbegin\nend.",
      line: 1,
    },
    { language: "c", text: "void swap(int a, int b) {\n  int kept = a;\n  a = b;\n  b = kept;\n}\n", line: 3 },
    { language: "python", text: "def add(total, load):\n    total = total + load\nadd(1, 2)\n", line: 2 },
  ],
};
