import { floatText } from "../../expressions/floatText.ts";
import { type PseudocodeStyle, usualStyle } from "./style.ts";
import type { BinarySign, Expression, Parameter, ProgramTree, Routine, Statement, TypeName } from "./syntaxTree.ts";
import { spellings, type Word } from "./words.ts";

/** How strongly a sign binds; what binds less stands in brackets inside of it. */
const strength: Readonly<Record<BinarySign, number>> = {
  ...{ or: 1, and: 2, "=": 4, "≠": 4, "<": 4, "≤": 4, ">": 4, "≥": 4 },
  ...{ "+": 5, "-": 5, "&": 5, "*": 6, "/": 6, div: 6, mod: 6, "^": 8 },
};
const negationBinds = 3;
const signBinds = 7;
const endWords: ReadonlySet<Word> = new Set([
  "endif",
  "endcase",
  "endfor",
  "endwhile",
  "endprocedure",
  "endfunction",
  "endtype",
]);

/** A program in a style; read again it is the same program. Comments are not kept. */
export function printProgram(tree: ProgramTree, style: PseudocodeStyle = usualStyle): string {
  const lines: string[] = [];
  const word = (name: Word): string => {
    const spelling: string = style.words[name] ?? spellings[name][0];
    const apart = style.endsApart && endWords.has(name) ? spelling.replace(/^END/, "END ") : spelling;
    return style.letters === "capitals" ? apart : apart.toLowerCase();
  };
  const signs: Readonly<Record<string, string>> = {
    ...{ "≠": style.unequal, "≤": style.atMost, "≥": style.atMost === "≤" ? "≥" : ">=" },
    ...{ and: word("and"), or: word("or"), div: word("div"), mod: word("mod") },
  };
  const put = (depth: number, text: string): void => {
    lines.push("    ".repeat(depth) + text);
  };
  const all = (items: readonly Expression[]): string => items.map((each) => show(each)).join(", ");
  /** An expression; in brackets where what is around it binds as strongly as `least`. */
  const show = (each: Expression, least = 0): string => {
    const inBrackets = (text: string, binds: number) => (binds < least ? `(${text})` : text);
    switch (each.is) {
      case "number":
        return each.whole ? String(each.value) : plainReal(Number(each.value));
      case "text":
        return quoted(each.value);
      case "truth":
        return word(each.value ? "true" : "false");
      case "name":
        return each.name;
      case "list":
        return `[${all(each.items)}]`;
      case "index":
        return `${show(each.of, 9)}[${all(each.places)}]`;
      case "field":
        return `${show(each.of, 9)}.${each.name}`;
      case "call":
        return `${each.name}(${all(each.given)})`;
      case "input":
        return word("userinput");
      case "unary":
        return each.sign === "not"
          ? inBrackets(`${word("not")} ${show(each.of, negationBinds)}`, negationBinds)
          : inBrackets(`-${show(each.of, signBinds)}`, signBinds);
      case "binary": {
        const binds = strength[each.sign];
        const isPower = each.sign === "^";
        const isComparison = binds === 4;
        // A power's left side and both sides of a comparison stand in brackets where they are the same again.
        const left = show(each.left, isPower || isComparison ? binds + 1 : binds);
        const right = show(each.right, isPower ? signBinds : binds + 1);
        return inBrackets(`${left} ${signs[each.sign] ?? each.sign} ${right}`, binds);
      }
    }
  };
  const typeText = (type: TypeName): string => {
    if (type.is === "array")
      return `${word("array")}[${type.bounds.map(([from, to]) => `${show(from)}:${show(to)}`).join(", ")}]${type.of.is === "any" ? "" : ` ${word("of")} ${typeText(type.of)}`}`;
    if (type.is === "record") return type.name;
    const names = { integer: "INTEGER", real: "REAL", text: "STRING", character: "CHAR", truth: "BOOLEAN", any: "" };
    return style.letters === "capitals" ? names[type.is] : names[type.is].toLowerCase();
  };
  const assign = (target: string, value: string): string =>
    style.setTo ? `${word("set")} ${target} ${word("to")} ${value}` : `${target} ${style.assign} ${value}`;
  const givenTo = (sign: string): string => (style.setTo ? "←" : style.assign === "=" ? "=" : sign);

  const body = (statements: readonly Statement[], depth: number): void => {
    for (const each of statements) statement(each, depth);
  };
  const statement = (each: Statement, depth: number): void => {
    switch (each.is) {
      case "assign":
        put(depth, assign(show(each.target), show(each.value)));
        return;
      case "output":
        put(depth, each.items.length === 0 ? word("output") : `${word("output")} ${all(each.items)}`);
        return;
      case "input":
        put(depth, `${word("input")} ${each.prompt ? `${show(each.prompt)}, ` : ""}${all(each.targets)}`);
        return;
      case "if":
        for (const [at, arm] of each.arms.entries()) {
          put(
            depth,
            `${at === 0 ? word("if") : `${word("else")} ${word("if")}`} ${show(arm.condition)} ${word("then")}`,
          );
          body(arm.body, depth + 1);
        }
        if (each.otherwise) {
          put(depth, word("else"));
          body(each.otherwise, depth + 1);
        }
        put(depth, word("endif"));
        return;
      case "case":
        put(depth, `${word("case")} ${word("of")} ${show(each.of)}`);
        for (const arm of each.arms) {
          put(
            depth + 1,
            `${arm.tests.map(({ from, to }) => `${show(from, 5)}${to ? ` ${word("to")} ${show(to, 5)}` : ""}`).join(", ")}:`,
          );
          body(arm.body, depth + 2);
        }
        if (each.otherwise) {
          put(depth + 1, word("otherwise"));
          body(each.otherwise, depth + 2);
        }
        put(depth, word("endcase"));
        return;
      case "for": {
        const step = each.step ? ` ${word("step")} ${show(each.step)}` : "";
        put(
          depth,
          `${word("for")} ${each.counter} ${givenTo(style.assign)} ${show(each.from)} ${word("to")} ${show(each.to)}${step}`,
        );
        body(each.body, depth + 1);
        put(depth, closes(each.counter));
        return;
      }
      case "each":
        put(depth, `${word("for")} ${word("each")} ${each.name} ${word("in")} ${show(each.of)}`);
        body(each.body, depth + 1);
        put(depth, closes(""));
        return;
      case "while":
        put(depth, `${word("while")} ${show(each.condition)} ${word("do")}`);
        body(each.body, depth + 1);
        put(depth, word("endwhile"));
        return;
      case "repeat":
        put(depth, word("repeat"));
        body(each.body, depth + 1);
        put(depth, `${word("until")} ${show(each.condition)}`);
        return;
      case "call":
        put(depth, `${word("call")} ${each.name}(${all(each.given)})`);
        return;
      case "return":
        put(depth, each.value ? `${word("return")} ${show(each.value)}` : word("return"));
        return;
      case "declare":
        put(depth, `${word("declare")} ${each.names.join(", ")} : ${typeText(each.type)}`);
        return;
      case "constant":
        put(depth, `${word("constant")} ${each.name} ${givenTo(style.assign)} ${show(each.value)}`);
        return;
      case "openfile":
        put(depth, `${word("openfile")} ${show(each.file)} ${word("for")} ${each.use.toUpperCase()}`);
        return;
      case "readfile":
        put(depth, `${word("readfile")} ${show(each.file)}, ${show(each.target)}`);
        return;
      case "writefile":
        put(depth, `${word("writefile")} ${show(each.file)}, ${show(each.value)}`);
        return;
      case "closefile":
        put(depth, `${word("closefile")} ${show(each.file)}`);
        return;
      case "stop":
        put(depth, word("stop"));
        return;
    }
  };
  const closes = (counter: string): string =>
    style.closesFor === "end"
      ? word("endfor")
      : style.closesFor === "next" || counter === ""
        ? word("next")
        : `${word("next")} ${counter}`;
  const parameter = ({ name, type, byReference }: Parameter): string =>
    `${byReference ? `${word("byref")} ` : ""}${name}${type.is === "any" ? "" : ` : ${typeText(type)}`}`;
  const routine = (each: Routine): void => {
    const returns = each.gives && each.returns.is !== "any" ? ` ${word("returns")} ${typeText(each.returns)}` : "";
    put(
      0,
      `${word(each.gives ? "function" : "procedure")} ${each.name}(${each.parameters.map(parameter).join(", ")})${returns}`,
    );
    body(each.body, 1);
    put(0, word(each.gives ? "endfunction" : "endprocedure"));
    put(0, "");
  };
  for (const type of tree.types) {
    put(0, `${word("type")} ${type.name}`);
    for (const field of type.fields)
      put(1, `${field.name}${field.type.is === "any" ? "" : ` : ${typeText(field.type)}`}`);
    put(0, word("endtype"));
    put(0, "");
  }
  for (const each of tree.routines) routine(each);
  body(tree.body, 0);
  return `${lines.join("\n")}\n`;
}

/** A number with decimals as programs write it: without an exponent. */
function plainReal(value: number): string {
  const text = floatText(value);
  if (!text.includes("e")) return text;
  const plain = value.toFixed(20).replace(/0+$/, "");
  return plain.endsWith(".") ? `${plain}0` : plain;
}

/** A text in quotes that are not in it. */
export const quoted = (text: string): string =>
  text.includes('"') ? (text.includes("'") ? `“${text}”` : `'${text}'`) : `"${text}"`;

/** One statement or expression as it is written in the usual style, for the boxes of a chart. */
export function showStatement(each: Statement, style: PseudocodeStyle = usualStyle): string {
  const [line = ""] = printProgram({ types: [], routines: [], body: [each] }, style).split("\n");
  return line;
}
export function showExpression(each: Expression, style: PseudocodeStyle = usualStyle): string {
  const { line, column } = each;
  return showStatement({ line, column, is: "output", items: [each], stays: false }, style).replace(/^\S+ /, "");
}
