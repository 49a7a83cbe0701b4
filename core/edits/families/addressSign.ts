import { escaped } from "../../source/escaped.ts";
import { parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";
import { givenAsAddress } from "../pointers.ts";

const readers = /^f?s?scanf$/;

/** What is read into, and what own functions take by its address, call by call. */
function scannedByCall(context: EditContext): SyntaxNode[][] {
  const read = ofKind(context, "call").flatMap(({ node }) =>
    readers.test(calledName(node)) ? [parts(node, "argument").slice(calledName(node) === "scanf" ? 1 : 2)] : [],
  );
  return [...read, ...givenAsAddress(context)];
}

const scanned = (context: EditContext) => scannedByCall(context).flat();
const hasAddress = ({ kind, sign }: SyntaxNode) => kind === "unary" && sign === "&";
const mayHaveAddress = ({ kind }: SyntaxNode) => ["name", "index", "field"].includes(kind);

/** All that one call lacks addresses of, where that is more than one: who leaves one out leaves the others out as well. */
function allOfCalls(context: EditContext): Proposal[] {
  return scannedByCall(context).flatMap((given) => {
    const without = given.filter((node) => mayHaveAddress(node) && !isArray(context, node));
    const [first, last] = [without[0], without.at(-1)];
    if (!first || !last || first === last) return [];
    const places = without.map((node) => node.from - first.from);
    const whole = context.text.slice(first.from, last.to);
    const text = [...whole].map((sign, at) => (places.includes(at) ? `&${sign}` : sign)).join("");
    return [change({ from: first.from, to: last.to }, text, { name: context.sourceOf(first) }, 1.2)];
  });
}

/** True for what is declared with room for several: its name is an address already. */
function isArray(context: EditContext, node: SyntaxNode): boolean {
  const member = /(\w+)$/.exec(context.sourceOf(node))?.[1];
  if (!member) return false;
  // Another function may know something else by this name.
  const owner = ofKind(context, "function").find((each) => each.node.from <= node.from && node.to <= each.node.to);
  const own = owner ? context.sourceOf(owner.node) : "";
  const isOwn = new RegExp(
    String.raw`\b(?:char|int|long|float|double|short)\s+(?:[\w\s,*]*,\s*)?\*?\s*${escaped(member)}\b`,
  ).test(own);
  const text = isOwn ? own : context.text;
  const declared = new RegExp(
    String.raw`\b(?:char|int|long|float|double|short|struct \w+)\s+(?:[\w\s,[\]]*,\s*)?(?:\*\s*${escaped(member)}\b|${escaped(member)}\s*\[)`,
  );
  return declared.test(text);
}

/** `&` before what is read or taken by its address, and none before a text that is read. */
export const addressSign: EditFamily = {
  id: "address-sign",
  says: "the sign of an address before what is read",
  weight: 10,
  reads: "both",
  mends: (context: EditContext): Proposal[] => [
    ...allOfCalls(context),
    ...scanned(context).flatMap((node) =>
      hasAddress(node)
        ? [change({ from: node.from, to: node.from + 1 }, "", { name: context.sourceOf(node).slice(1) }, 0.4)]
        : mayHaveAddress(node)
          ? [insert(node.from, "&", { name: context.sourceOf(node) }, isArray(context, node) ? 0.1 : 1)]
          : [],
    ),
  ],
  plants: (context: EditContext): Proposal[] => [
    ...scannedByCall(context).flatMap((given) => {
      const [first, last] = [given.find(hasAddress), given.findLast(hasAddress)];
      if (!first || !last || first === last) return [];
      const text = context.sourceOf({ from: first.from, to: last.to }).replace(/&(?=[A-Za-z_])/g, "");
      return [change({ from: first.from, to: last.to }, text, { name: context.sourceOf(first).slice(1) })];
    }),
    ...scanned(context).flatMap((node) =>
      hasAddress(node)
        ? [change({ from: node.from, to: node.from + 1 }, "", { name: context.sourceOf(node).slice(1) })]
        : [],
    ),
  ],
  examples: [
    {
      language: "c",
      right:
        'struct car { char plate[8]; int load; };\nint f(struct car c) { scanf("%s %d", c.plate, &c.load); return c.load; }',
      faulty:
        'struct car { char plate[8]; int load; };\nint f(struct car c) { scanf("%s %d", c.plate, c.load); return c.load; }',
    },
    {
      language: "c",
      right: "void f(int *a, int *b) { *a = *b; }\nint main(void) { int r; int c; f(&r, &c); return r; }",
      faulty: "void f(int *a, int *b) { *a = *b; }\nint main(void) { int r; int c; f(r, c); return r; }",
    },
    {
      language: "c",
      right: "void add(int *total, int load) { *total += load; }\nint main(void) { int t = 0; add(&t, 4); return t; }",
      faulty: "void add(int *total, int load) { *total += load; }\nint main(void) { int t = 0; add(t, 4); return t; }",
    },
    {
      language: "c",
      right: 'int f(int n) { scanf("%d", &n); return n; }',
      faulty: 'int f(int n) { scanf("%d", n); return n; }',
    },
  ],
};
