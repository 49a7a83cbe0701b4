import { parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";
import { givenAsAddress } from "../pointers.ts";

const readers = /^f?s?scanf$/;

/** What is read into, and what own functions take by its address. */
function scanned(context: EditContext) {
  const read = ofKind(context, "call").flatMap(({ node }) =>
    readers.test(calledName(node)) ? parts(node, "argument").slice(calledName(node) === "scanf" ? 1 : 2) : [],
  );
  return [...read, ...givenAsAddress(context)];
}

/** True for what is declared with room for several: its name is an address already. */
function isArray(context: EditContext, text: string): boolean {
  const member = /(\w+)$/.exec(text)?.[1];
  if (!member) return false;
  const declared = new RegExp(
    String.raw`\b(?:char|int|long|float|double|short|struct \w+)\s+(?:[\w\s,[\]]*,\s*)?(?:\*\s*${member}\b|${member}\s*\[)`,
  );
  return declared.test(context.text);
}

/** `&` before what is read or taken by its address, and none before a text that is read. */
export const addressSign: EditFamily = {
  id: "address-sign",
  says: "the sign of an address before what is read",
  weight: 10,
  reads: "both",
  mends: (context: EditContext): Proposal[] =>
    scanned(context).flatMap((node) =>
      node.kind === "unary" && node.sign === "&"
        ? [change({ from: node.from, to: node.from + 1 }, "", { name: context.sourceOf(node).slice(1) }, 0.4)]
        : ["name", "index", "field"].includes(node.kind)
          ? [
              insert(
                node.from,
                "&",
                { name: context.sourceOf(node) },
                isArray(context, context.sourceOf(node)) ? 0.1 : 1,
              ),
            ]
          : [],
    ),
  plants: (context: EditContext): Proposal[] =>
    scanned(context).flatMap((node) =>
      node.kind === "unary" && node.sign === "&"
        ? [change({ from: node.from, to: node.from + 1 }, "", { name: context.sourceOf(node).slice(1) })]
        : [],
    ),
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
