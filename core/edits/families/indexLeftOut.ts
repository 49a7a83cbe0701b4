import { part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Placed, type Proposal } from "../edit.ts";
import { calledName, loopAround, namesIn, ofKind } from "../places.ts";
import { scopesOf } from "../scopes.ts";

/** An element that is picked of a list by its place: `loads[i]`, or `loads(i)` where a language writes it like a call. */
type Picked = Placed & { list: SyntaxNode; place: SyntaxNode };

function pickedIn(context: EditContext): Picked[] {
  const isList = (node: SyntaxNode | undefined): node is SyntaxNode => node?.kind === "name";
  return context.nodes.flatMap(({ node, around }) => {
    if (node.kind !== "index" && node.kind !== "call") return [];
    const list = part(node, node.kind === "index" ? "object" : "callee");
    const place = part(node, "argument");
    if (!isList(list) || !place) return [];
    const name = list.sign ?? "";
    if (node.kind === "call" && (!context.names.includes(name) || context.functions.includes(name))) return [];
    return [{ node, around, list, place }];
  });
}

/** Lists that a program gives a name: it picks their elements, or gives them several values at once. */
function listNames(context: EditContext, picked: readonly Picked[]): Set<string> {
  const names = new Set(picked.map(({ list }) => list.sign ?? ""));
  // What stands beside an element of another list in one calculation may be a list as well.
  for (const { around } of picked) {
    const beside = around.at(-1)?.kind === "binary" ? (around.at(-1)?.children ?? []) : [];
    for (const { kind, sign } of beside) if (kind === "name" && takesMany(context, sign ?? "")) names.add(sign ?? "");
  }
  for (const { node } of ofKind(context, "assignment")) {
    const [target, value] = [part(node, "target"), part(node, "value")];
    const made = value?.kind === "binary" ? value.children[0] : value;
    const isMade = made?.kind === "list" || (made?.kind === "call" && /^(?:zeros|ones)$/.test(callee(made)));
    if (target?.kind === "name" && isMade) names.add(target.sign ?? "");
  }
  return names;
}

/** True for a name of which it is not said that it holds one value: a parameter, where types are not declared. */
function takesMany({ writing, nodes }: EditContext, name: string): boolean {
  return writing.types.length === 0 && nodes.some(({ node }) => node.kind === "parameter" && node.sign === name);
}

const callee = (node: SyntaxNode) => part(node, "callee")?.sign ?? "";

/** How likely a list's name stands at a place where one of its elements is meant; 0 where it is meant itself. */
function oddsAt({ node, around }: Placed): number {
  const parent = around.at(-1);
  if (!parent || node.role === "definition" || node.role === "callee" || node.role === "object") return 0;
  const inLoop = loopAround(around) !== undefined;
  if (parent.kind === "binary" || parent.kind === "unary") return inLoop ? 1.5 : 0.7;
  if (parent.kind === "declaration" && inLoop) return 1;
  if (parent.kind === "assignment" && inLoop) return node.role === "target" && parent.sign === "=" ? 1.2 : 1;
  if (parent.kind === "call") return inLoop ? 0.5 : 0.2;
  return ["if", "while", "return", "group"].includes(parent.kind) && inLoop ? 0.5 : 0;
}

const isCounting = (node: SyntaxNode | undefined) => node?.kind === "for" || node?.kind === "foreach";

/** Lists over whose places the loops go that a piece lies in the bodies of, by their headers, with what they count by. */
function walkedAround(context: EditContext, around: readonly SyntaxNode[]): Map<string, string> {
  const walked = new Map<string, string>();
  for (const loop of around.filter((each, at) => isCounting(each) && around[at + 1]?.role === "body")) {
    const counted = part(loop, "start") ?? part(loop, "target");
    const end = part(loop, "condition") ?? part(loop, "limit") ?? part(loop, "source");
    const [counter] = counted ? namesIn(counted) : [];
    // A loop over the elements themselves has the list alone in its header.
    if (!counter || !end || end.kind === "name") continue;
    for (const name of namesIn(end)) if (name !== counter && context.names.includes(name)) walked.set(name, counter);
  }
  return walked;
}

/** A place as it stands behind a list's name: `[i]`, `(i)`; "" where elements are picked in another way. */
function placeBehind(context: EditContext, place: string): string {
  const first = context.writing.firstElement("");
  return /^[[(]/.test(first) ? `${first.at(0)}${place}${first.at(-1)}` : "";
}

/** The place that a loop goes by, behind the name of the list whose places it goes over. */
function ofLoops(context: EditContext): Proposal[] {
  return ofKind(context, "name").flatMap((placed) => {
    const name = placed.node.sign ?? "";
    const odds = oddsAt(placed);
    const counter = odds < 0.5 ? undefined : walkedAround(context, placed.around).get(name);
    const text = counter ? placeBehind(context, counter) : "";
    return counter && text !== "" ? [insert(placed.node.to, text, { name, place: counter }, odds)] : [];
  });
}

/** True inside what picks an element or is given to a call: a place is meant there. */
const isGivenOn = (around: readonly SyntaxNode[]) => {
  const statement = around.findLastIndex((each) => each.kind === "statement" || each.kind === "block");
  return around.slice(statement + 1).some(({ kind }) => kind === "index" || kind === "call");
};

/** The element at the place that a loop counts, where the place itself is worked with: `total += i` for `total += loads[i]`. */
function elementsForPlace(context: EditContext): Proposal[] {
  const picked = pickedIn(context);
  return ofKind(context, "name").flatMap((placed) => {
    const { node, around } = placed;
    const place = node.sign ?? "";
    const loop = loopAround(around);
    if (!loop || node.role === "target" || oddsAt(placed) < 0.7 || isGivenOn(around)) return [];
    // What the loop goes over, and what its body picks elements of by this place.
    const walked = [...walkedAround(context, around)].flatMap(([name, counter]) => (counter === place ? [name] : []));
    const pickedHere = picked.flatMap((each) =>
      each.place.sign === place && each.place.kind === "name" && each.around.includes(loop)
        ? [each.list.sign ?? ""]
        : [],
    );
    const text = placeBehind(context, place);
    return [...new Set(text === "" ? [] : [...pickedHere, ...walked])].map((name) =>
      change(node, `${name}${text}`, { name, place }, 0.7),
    );
  });
}

/** A place behind a list's name, as the program picks elements elsewhere, or as a loop goes over them. */
function mends(context: EditContext): Proposal[] {
  return [
    ...asElsewhere(context),
    ...ofLoops(context),
    ...elementsForPlace(context),
    ...ofPairs(context),
    ...asKeys(context),
  ];
}

/** One of the values of a pair, where the pair is printed: its others are picked by numbers elsewhere. */
function ofPairs(context: EditContext): Proposal[] {
  const picked = pickedIn(context).filter(({ place }) => place.kind === "number");
  const { library } = context.writing;
  return ofKind(context, "call").flatMap(({ node: call }) => {
    if (!library.prints(calledName(call))) return [];
    return parts(call, "argument").flatMap((node) => {
      const others = picked.filter(({ list }) => list.sign === node.sign);
      if (node.kind !== "name" || others.length === 0) return [];
      return ["0", "1"].map((place) => {
        const text = placeBehind(context, place);
        return insert(node.to, text, { name: node.sign ?? "", place }, text === "" ? 0 : 1);
      });
    });
  });
}

/** A key of a table that is asked for as a part of an object is: `trip.boat` for `trip["boat"]`. */
function asKeys(context: EditContext): Proposal[] {
  const { quote, holdsNoKey } = context.writing;
  if (!holdsNoKey || context.writing.variables !== "by assignment") return [];
  const keys = new Set(ofKind(context, "text").map(({ node }) => (node.sign ?? "").slice(1, -1)));
  return ofKind(context, "field").flatMap(({ node }) => {
    const owner = part(node, "object");
    const name = node.sign ?? "";
    if (!owner || !keys.has(name) || node.role === "callee") return [];
    return [change({ from: owner.to, to: node.to }, `[${quote}${name}${quote}]`, { name, place: name }, 1.5)];
  });
}

function asElsewhere(context: EditContext): Proposal[] {
  const picked = pickedIn(context);
  if (picked.length === 0) return [];
  const { isKnownAt } = scopesOf(context);
  const lists = listNames(context, picked);
  const places = new Map<string, Picked>();
  for (const each of picked) places.set(context.text.slice(each.list.to, each.node.to), each);
  return ofKind(context, "name").flatMap((placed) => {
    const { node, around } = placed;
    const odds = lists.has(node.sign ?? "") ? oddsAt(placed) : 0;
    if (odds === 0) return [];
    // What was made as a list before the loop is given one element in each pass.
    const isGiven = node.role === "target" && around.at(-1)?.sign === "=";
    return [...places].flatMap(([text, each]) => {
      const isKnown = namesIn(each.place).every((name) => isKnownAt(name, around));
      const isOwn = each.list.sign === node.sign;
      return isKnown && !namesIn(each.place).includes(node.sign ?? "")
        ? [
            insert(
              node.to,
              text,
              { name: node.sign ?? "", place: context.sourceOf(each.place) },
              isOwn || isGiven ? odds : odds / 2,
            ),
          ]
        : [];
    });
  });
}

/** A list's name without the place of its element. */
function withoutPlace(context: EditContext): Proposal[] {
  return pickedIn(context).flatMap(({ node, around, list, place }) => {
    const parent = around.at(-1);
    if (parent?.kind === "index" || parent?.kind === "field" || node.role === "callee") return [];
    if (!loopAround(around) || parent?.kind === "declaration") return [];
    return [change({ from: list.to, to: node.to }, "", { name: list.sign ?? "", place: context.sourceOf(place) })];
  });
}

/** The place alone, where its element is worked with. */
function withoutList(context: EditContext): Proposal[] {
  return pickedIn(context).flatMap(({ node, around, list, place }) => {
    const parent = around.at(-1)?.kind;
    const isRead = parent === "binary" || (parent === "assignment" && node.role === "value");
    if (place.kind !== "name" || !isRead || !loopAround(around) || isGivenOn(around)) return [];
    return [change(node, place.sign ?? "", { name: list.sign ?? "", place: place.sign ?? "" }, 0.6)];
  });
}

/** A whole list, or the place alone, stands where one of its elements is meant. */
export const indexLeftOutFamily: EditFamily = {
  id: "index-left-out",
  says: "the place of an element behind its list's name",
  weight: 5,
  reads: "tree",
  mends,
  plants: (context) => [...withoutPlace(context), ...withoutList(context)],
  examples: [
    {
      language: "python",
      right: "loads = [4, 9]\ntotal = 0\nfor i in range(2):\n    total += loads[i]\n    print(loads[i])\n",
      faulty: "loads = [4, 9]\ntotal = 0\nfor i in range(2):\n    total += loads\n    print(loads[i])\n",
    },
    {
      language: "python",
      right: "loads = [4, 9]\ntotal = 0\nfor i in range(len(loads)):\n    total = total + loads[i]\n",
      faulty: "loads = [4, 9]\ntotal = 0\nfor i in range(len(loads)):\n    total = total + i\n",
    },
    {
      language: "c",
      right: "int f(int a[]) { int s = 0; for (int i = 0; i < 3; i++) { if (a[i] > 2) s += a[i]; } return s; }",
      faulty: "int f(int a[]) { int s = 0; for (int i = 0; i < 3; i++) { if (a[i] > 2) s += i; } return s; }",
    },
    {
      language: "octave",
      right: "loads = [4 9];\nsum = 0;\nfor k = 1:numel(loads)\n  sum = sum + loads(k);\nend\ndisp(sum)\n",
      faulty: "loads = [4 9];\nsum = 0;\nfor k = 1:numel(loads)\n  sum = sum + k;\nend\ndisp(sum)\n",
    },
    {
      language: "pascal",
      right:
        "var a: array[1..3] of integer;\ni, s: integer;\nbegin\n  for i := 1 to 3 do\n    if a[i] > 2 then\n      s := s + a[i];\nend.",
      faulty:
        "var a: array[1..3] of integer;\ni, s: integer;\nbegin\n  for i := 1 to 3 do\n    if a[i] > 2 then\n      s := s + i;\nend.",
    },
    {
      language: "java",
      right:
        "class Main { int f(int[] a) { int s = 0; for (int i = 0; i < 3; i++) if (a[i] > 2) s += a[i]; return s; } }",
      faulty:
        "class Main { int f(int[] a) { int s = 0; for (int i = 0; i < 3; i++) if (a > 2) s += a[i]; return s; } }",
    },
    {
      language: "c",
      right: "int f(int a[]) { int s = 0; for (int i = 0; i < 3; i++) if (a[i] > 2) s += a[i]; return s; }",
      faulty: "int f(int a[]) { int s = 0; for (int i = 0; i < 3; i++) if (a > 2) s += a[i]; return s; }",
    },
    {
      language: "c",
      right: "int f(char *t) { int n = 0; for (int i = 0; i < strlen(t); i++) { char c = t[i]; n += c; } return n; }",
      faulty: "int f(char *t) { int n = 0; for (int i = 0; i < strlen(t); i++) { char c = t; n += c; } return n; }",
    },
    {
      language: "csharp",
      right: "class P { int F(int[] a) { int s = 0; for (int i = 0; i < 3; i++) if (a[i] > 2) s += a[i]; return s; } }",
      faulty: "class P { int F(int[] a) { int s = 0; for (int i = 0; i < 3; i++) if (a > 2) s += a[i]; return s; } }",
    },
    {
      language: "pascal",
      right:
        "var a: array[1..3] of integer;\ni: integer;\nbegin\n  for i := 1 to 3 do\n  begin\n    a[i] := i;\n    writeln(a[i] + 1);\n  end;\nend.",
      faulty:
        "var a: array[1..3] of integer;\ni: integer;\nbegin\n  for i := 1 to 3 do\n  begin\n    a[i] := i;\n    writeln(a + 1);\n  end;\nend.",
    },
    {
      language: "octave",
      right: "loads = [4 9];\ndays = zeros(1, 2);\nfor k = 1:2\n  days(k) = loads(k) * 2;\nend\ndisp(days)\n",
      faulty: "loads = [4 9];\ndays = zeros(1, 2);\nfor k = 1:2\n  days = loads(k) * 2;\nend\ndisp(days)\n",
    },
  ],
};
