import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { beside } from "../beside.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import {
  calledName,
  functionAround,
  functionsWithoutResult,
  indentUnit,
  lineEndOf,
  nameOfFunction,
  ofKind,
  otherTruth,
  wholeLines,
} from "../places.ts";
import { usageOf } from "../usage.ts";

/** The names that a function gives a value, the last one first. */
function assignedIn(body: SyntaxNode): string[] {
  const names = nodesOf(body).flatMap((node) =>
    node.kind === "name" && (node.role === "target" || node.role === "definition") ? [node.sign ?? ""] : [],
  );
  return [...new Set(names.reverse())];
}

/** A `return` at the end of a function that gives nothing back there. */
function putIn(context: EditContext): Proposal[] {
  if (context.writing.returns("x") === "") return [];
  return ofKind(context, "function").flatMap(({ node }) => {
    const body = part(node, "body");
    const last = body?.children.at(-1);
    const type = node.children.find((child) => child.kind === "type")?.sign;
    if (!body || !last || last.kind === "return" || type === "void") return [];
    const whole = wholeLines(context, last);
    const parameters = node.children.flatMap((child) => (child.kind === "parameter" ? [child.sign ?? ""] : []));
    const unit = indentUnit(context);
    const indent = whole?.first.indent ?? unit;
    const { statementEnd } = context.writing;
    // `rows * places;` reads as the declaration of a pointer.
    const misread = last.kind === "declaration" && context.names.includes(last.children[0]?.sign ?? "");
    if (misread)
      return [
        change(
          last,
          context.writing.returns(context.sourceOf(last).replace(/;$/, "")),
          { value: context.sourceOf(last) },
          1.5,
        ),
      ];
    const bare =
      last.kind === "statement" && last.children.length === 1 && last.children[0]?.kind !== "assignment"
        ? last.children[0]
        : undefined;
    const found = [...assignedIn(body), ...parameters].slice(0, 3).map((name, at) => {
      const text = context.writing.returns(name);
      const end = context.text.slice(0, whole?.to ?? 0).endsWith("\n") ? "" : lineEndOf(context);
      return whole
        ? insert(whole.to, `${end}${indent}${text}${lineEndOf(context)}`, { value: name }, at === 0 ? 1 : 0.4)
        : insert(last.to, ` ${text}`, { value: name }, at === 0 ? 1 : 0.4);
    });
    // A value that stands alone, or is printed where it should be given back.
    if (bare && bare.kind !== "call")
      found.push(change(last, context.writing.returns(context.sourceOf(bare)), { value: context.sourceOf(bare) }, 1.5));
    const printed =
      bare && context.writing.library.prints(calledName(bare))
        ? bare.children.filter((child) => child.role === "argument")
        : [];
    if (printed.length === 1 && printed[0])
      found.push(
        change(last, context.writing.returns(context.sourceOf(printed[0])), { value: context.sourceOf(printed[0]) }, 1),
      );
    if (bare?.kind === "call" && context.functions.includes(calledName(bare)))
      found.push(
        change(last, `return ${context.sourceOf(bare)}${statementEnd}`, { value: context.sourceOf(bare) }, 1.2),
      );
    return found;
  });
}

/** The other truth at the end of a function that gives truths back on its other ways: surely where these are one, else behind a decision that gives one back. */
function otherTruthAtEnd(context: EditContext): Proposal[] {
  if (context.writing.returns("x") === "") return [];
  return ofKind(context, "function").flatMap(({ node }) => {
    const last = part(node, "body")?.children.at(-1);
    const given = nodesOf(node).flatMap((each) => (each.kind === "return" ? [each.children[0]] : []));
    const truths = new Set(given.map((each) => (each ? otherTruth(context.sourceOf(each)) : undefined)));
    const truth = [...truths].at(-1);
    if (!last || last.kind === "return" || truth === undefined || truths.has(undefined)) return [];
    if (truths.size > 1 && !(last.kind === "if" && nodesOf(last).some((each) => each.kind === "return"))) return [];
    const odds = truths.size === 1 ? 2.5 : 1.5;
    return [...truths].flatMap((each) =>
      each === undefined
        ? []
        : beside(context, last, context.writing.returns(each), "behind", each === truth ? odds : odds / 2),
    );
  });
}

/** What a function has worked out, given to its own name at its end, where its result goes by that and it gets none. */
function byName(context: EditContext): Proposal[] {
  const { resultByName } = context.writing;
  if (!resultByName) return [];
  return functionsWithoutResult(context).flatMap(({ name, body, last }) => {
    const whole = wholeLines(context, last);
    if (!whole) return [];
    const indent = whole.first.indent;
    return assignedIn(body)
      .slice(0, 3)
      .map((value, at) =>
        insert(
          whole.to,
          `${indent}${resultByName.gives(name, value)}${lineEndOf(context)}`,
          { value },
          at === 0 ? 1 : 0.4,
        ),
      );
  });
}

/** The same statement taken away. */
function takeNameOut(context: EditContext): Proposal[] {
  if (!context.writing.resultByName) return [];
  return ofKind(context, "assignment").flatMap(({ node, around }) => {
    const name = nameOfFunction(functionAround(around));
    const whole = wholeLines(context, around.at(-1)?.kind === "statement" ? (around.at(-1) ?? node) : node);
    const value = part(node, "value");
    const isResult = name !== "" && part(node, "target")?.sign?.toLowerCase() === name.toLowerCase();
    return isResult && whole && value ? [change(whole, "", { value: context.sourceOf(value) })] : [];
  });
}

/** A plain value that is given back by a function that works something out and reads it nowhere. */
function workedOut(context: EditContext): Proposal[] {
  const { unread } = usageOf(context);
  return ofKind(context, "return").flatMap(({ node, around }) => {
    const [value] = node.children;
    const owner = functionAround(around);
    if (!value || !owner || !["number", "constant", "text"].includes(value.kind)) return [];
    return [...unread]
      .filter(([, given]) => functionAround(given.around) === owner)
      .map(([name]) => change(value, name, { value: name }, 1.5));
  });
}

/** A call of an own function inside it whose value is not given back. */
function ownCalls(context: EditContext): Proposal[] {
  if (context.writing.returns("x") === "") return [];
  return ofKind(context, "statement").flatMap(({ node, around }) => {
    const [call] = node.children;
    const name = nameOfFunction(functionAround(around));
    if (call?.kind !== "call" || !name || calledName(call) !== name) return [];
    return [insert(node.from, "return ", { value: context.sourceOf(call) }, 1)];
  });
}

function takeOut(context: EditContext): Proposal[] {
  return ofKind(context, "return").flatMap(({ node }) => {
    const value = part(node, "value");
    const whole = wholeLines(context, node);
    const found: Proposal[] = [];
    if (value && value.kind !== "name")
      found.push(change({ from: node.from, to: value.from }, "", { value: context.sourceOf(value) }));
    if (whole && value) found.push(change(whole, "", { value: context.sourceOf(value) }));
    return found;
  });
}

export const returned: EditFamily = {
  id: "returned",
  says: "a function that does not give its value back",
  weight: 8,
  reads: "tree",
  mends: (context) => [
    ...otherTruthAtEnd(context),
    ...putIn(context),
    ...byName(context),
    ...ownCalls(context),
    ...workedOut(context),
  ],
  plants: (context) => [...takeOut(context), ...takeNameOut(context)],
  examples: [
    {
      language: "c",
      right: "int seats(int rows, int places) {\n  return rows * places;\n}\n",
      faulty: "int seats(int rows, int places) {\n  rows * places;\n}\n",
    },
    {
      language: "python",
      right: "def fare(age):\n    price = age * 2\n    return price\n",
      faulty: "def fare(age):\n    price = age * 2\n",
    },
    { language: "python", right: "def fare(age):\n    return age * 2\n", faulty: "def fare(age):\n    age * 2\n" },
    {
      language: "java",
      right: "class Main {\n  int f(int a) {\n    int b = a * 2;\n    return b;\n  }\n}\n",
      faulty: "class Main {\n  int f(int a) {\n    int b = a * 2;\n  }\n}\n",
    },
    {
      language: "c",
      right: "int f(int a) {\n  int b = a * 2;\n  return b;\n}\n",
      faulty: "int f(int a) {\n  int b = a * 2;\n}\n",
    },
    {
      language: "csharp",
      right: "class P {\n  int F(int a) {\n    int b = a * 2;\n    return b;\n  }\n}\n",
      faulty: "class P {\n  int F(int a) {\n    int b = a * 2;\n  }\n}\n",
    },
    {
      language: "pascal",
      right:
        "function Fare(age: integer): integer;\nvar\n  b: integer;\nbegin\n  b := age * 2;\n  Fare := b;\nend;\nbegin\n  writeln(Fare(3));\nend.\n",
      faulty:
        "function Fare(age: integer): integer;\nvar\n  b: integer;\nbegin\n  b := age * 2;\nend;\nbegin\n  writeln(Fare(3));\nend.\n",
    },
    {
      language: "basic-macro",
      right: "Sub Main\n  MsgBox Fare(3)\nEnd Sub\nFunction Fare(age)\n  b = age * 2\n  Fare = b\nEnd Function\n",
      faulty: "Sub Main\n  MsgBox Fare(3)\nEnd Sub\nFunction Fare(age)\n  b = age * 2\nEnd Function\n",
    },
  ],
};
