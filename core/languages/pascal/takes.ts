import { escaped } from "../../source/escaped.ts";
import type { Takes, TakesOf } from "../takes.ts";

/** A variable of one sign takes one, a text the rest of the line, a number the next word; `readln` takes what is left of the line. */
export const takes: TakesOf = ({ name, program, node }) => {
  const typeOf = (variable: string) =>
    new RegExp(`\\b${escaped(variable)}\\b[\\w\\s,]*:\\s*(\\w+)`, "i").exec(program)?.[1]?.toLowerCase() ?? "integer";
  const takes = node.children
    .filter((child) => child.role === "argument")
    .map((child): Takes => {
      const variable = /^\w+/.exec(program.slice(child.from, child.to))?.[0] ?? "";
      const type = variable ? typeOf(variable) : "integer";
      return type === "char" ? "sign" : type.endsWith("string") ? "rest" : "word";
    });
  return /ln$/i.test(name) ? [...takes, "line"] : takes;
};
