import { calledName, nameOfFunction, namesIn, ofKind } from "../../edits/places.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** Calls that only compare or measure what they are handed or called on. */
const comparesOnly = /^(?:equals(?:ignorecase)?|compareto|strcmp|strcmpi|strlen|length|len|numel)$/i;

/** A loop whose condition holds names that nothing in it changes. */
export const nothingMoves: Mistake = {
  id: "loop-variable-never-changes",
  weight: 90,
  find: (context) =>
    ofKind(context, "while").flatMap(({ node }) => {
      const [condition, body] = [part(node, "condition"), part(node, "body")];
      const names = condition ? namesIn(condition) : [];
      if (
        !condition ||
        !body ||
        names.length === 0 ||
        nodesOf(condition).some((each) => each.kind === "call" && !comparesOnly.test(calledName(each)))
      )
        return [];
      // What is asked by a call may be a list or a text that another call fills.
      const asksByCall = nodesOf(condition).some(
        (each) => each.kind === "call" && !/^(?:equals|compareto)/i.test(calledName(each)),
      );
      const mayFill = (call: SyntaxNode) =>
        !comparesOnly.test(calledName(call)) && !context.writing.library.prints(calledName(call));
      // Functions of the program that give one of the names a value.
      const givenByCall = new Set(
        ofKind(context, "function")
          .filter(({ node: own }) =>
            nodesOf(own).some((one) => one.role === "target" && names.includes(one.sign ?? "")),
          )
          .map(({ node: own }) => nameOfFunction(own)),
      );
      // What is compared with a text or a number written out is a value: nothing that is asked of it changes it.
      const values = nodesOf(condition).flatMap((each) =>
        each.kind === "binary" && each.children.some(({ kind }) => kind === "text" || kind === "number")
          ? each.children.flatMap(({ kind, sign }) =>
              kind === "name" && /^(?:[<>]=?|[=!]=|=|<>)$/.test(each.sign ?? "") ? [sign ?? ""] : [],
            )
          : [],
      );
      const objects = names.filter((name) => !values.includes(name));
      const changed = nodesOf(body).some(
        (each) =>
          (each.role === "target" && namesIn(each).some((name) => names.includes(name))) ||
          each.kind === "leave" ||
          each.kind === "return" ||
          (each.kind === "field" && each.role === "callee" && objects.includes(part(each, "object")?.sign ?? "")) ||
          (each.kind === "call" && givenByCall.has(calledName(each))) ||
          (each.kind === "call" &&
            each.children.some(
              (child) =>
                child.role === "argument" &&
                nodesOf(child).some(
                  (one) =>
                    one.sign === "&" ||
                    (one.kind === "name" &&
                      names.includes(one.sign ?? "") &&
                      (context.writing.assign === ":=" || (asksByCall && mayFill(each)))),
                ),
            )),
      );
      if (changed) return [];
      return [
        {
          line: context.lineOf(node.from),
          names,
          why: `Nothing in this loop changes ${names.map((name) => `“${name}”`).join(" or ")}.`,
        },
      ];
    }),
  examples: [
    {
      language: "java",
      text: 'class M {\n  void f(String word) {\n    while (!word.equals("end")) {\n      count++;\n    }\n  }\n}\n',
      line: 3,
    },
    { language: "python", text: "n = 3\nwhile n > 0:\n    print(n)\n", line: 2 },
    { language: "c", text: "void f(int n) {\n  while (n > 0)\n    g(n);\n  n--;\n}\n", line: 2 },
  ],
};
