import { ownOf } from "../../../source/ownOf.ts";
import type { Token } from "../../token.ts";
import { typedBasicTokens } from "../tokens.ts";
import { controlKinds, libraryMember, memberNames } from "./library.ts";
import type { Control } from "./program.ts";
import type { Container, Unit } from "./tree.ts";

/** The ending of a file that says what stands on a form (docs/typed-basic.md). */
export const formEnding = ".form";

const kinds: Readonly<Record<string, string>> = {
  ...{
    box: "TextBox",
    label: "Label",
    button: "Button",
    check: "CheckBox",
    option: "RadioButton",
    list: "ListBox",
    choice: "ComboBox",
    number: "NumericUpDown",
    timer: "Timer",
  },
};

/**
 * Reads what stands on forms from a file of our own: `form NAME TEXT`, and below a line for each thing: its kind, its name, its text. Lines that say
 * nothing of the kind are told by their number (1-based).
 */
export function readFormFile(text: string): {
  forms: Map<string, Control[]>;
  problems: Array<{ line: number; says: string }>;
} {
  const forms = new Map<string, Control[]>();
  const problems: Array<{ line: number; says: string }> = [];
  let current: Control[] | null = null;
  for (const [at, line] of text.split(/\r\n|\n|\r/).entries()) {
    const [, word = "", name = "", rest = ""] = /^\s*(\S+)(?:\s+(\S+))?(?:\s+(.*\S))?\s*$/.exec(line) ?? [];
    if (word === "" || word.startsWith("'")) continue;
    const kind = ownOf(kinds, word.toLowerCase());
    const shown = rest.replace(/^"(.*)"$/, "$1");
    if (!/^[\p{L}_][\p{L}\p{Nd}_]*$/u.test(name))
      problems.push({ line: at + 1, says: `behind “${word}” stands a name` });
    else if (word.toLowerCase() === "form") {
      current = [];
      forms.set(name.toLowerCase(), current);
    } else if (!kind)
      problems.push({ line: at + 1, says: `“${word}” is none of form, ${Object.keys(kinds).join(", ")}` });
    else {
      current ??= [];
      if (forms.size === 0) forms.set("form1", current);
      current.push({ name, kind, ...(shown === "" ? {} : { text: shown }) });
    }
  }
  return { forms, problems };
}

/**
 * What stands on a form by the part of its class that an editor has written: `Me.x = New TextBox()` and `Friend WithEvents x As TextBox`, and the texts
 * that they are given there.
 */
export function readDesigned(text: string): Control[] {
  const tokens = typedBasicTokens(text).filter(({ kind }) => kind !== "comment");
  const found = new Map<string, Control>();
  const low = (token: Token | undefined) => token?.text.toLowerCase() ?? "";
  const add = (name: string, from: number) => {
    let at = from;
    while (tokens[at + 1]?.text === ".") at += 2;
    const kind = controlKinds.find((each) => each.toLowerCase() === low(tokens[at]));
    if (kind && !found.has(name.toLowerCase())) found.set(name.toLowerCase(), { name, kind });
  };
  for (const [at, token] of tokens.entries()) {
    if (low(token) === "withevents" && low(tokens[at + 2]) === "as") add(tokens[at + 1]?.text ?? "", at + 3);
    const isOwn = low(token) === "me" && tokens[at + 1]?.text === ".";
    if (!isOwn) continue;
    const name = tokens[at + 2]?.text ?? "";
    if (tokens[at + 3]?.text === "=" && low(tokens[at + 4]) === "new") add(name, at + 5);
    const value = tokens[at + 6];
    if (
      tokens[at + 3]?.text === "." &&
      low(tokens[at + 4]) === "text" &&
      tokens[at + 5]?.text === "=" &&
      value?.kind === "text"
    ) {
      const known = found.get(name.toLowerCase());
      if (known) known.text = value.text.slice(1, -1).replaceAll('""', '"');
    }
  }
  return [...found.values()];
}

const prefixes: Readonly<Record<string, string>> = {
  ...{
    txt: "TextBox",
    lbl: "Label",
    btn: "Button",
    cmd: "Button",
    chk: "CheckBox",
    rad: "RadioButton",
    opt: "RadioButton",
    rdo: "RadioButton",
  },
  ...{ lst: "ListBox", cmb: "ComboBox", cbo: "ComboBox", num: "NumericUpDown", nud: "NumericUpDown", tmr: "Timer" },
};

/** The kind of a thing on a form by its name: a beginning that many have, or its kind with a number. */
function kindByName(name: string): string | null {
  const prefix = /^([a-z]{3})[A-Z_\d]/.exec(name)?.[1];
  if (prefix && prefixes[prefix]) return prefixes[prefix] ?? null;
  return controlKinds.find((kind) => new RegExp(`^${kind}\\d+$`, "i").test(name)) ?? null;
}

/** Members by which a thing shows its kind, whatever its name; the first that only one kind has. */
function kindByMember(member: string, event: string): string | null {
  if (event === "click") return "Button";
  const has = controlKinds.filter((kind) => memberNames(kind).some((each) => each.toLowerCase() === member));
  return has.length === 1
    ? (has[0] ?? null)
    : member === "checked"
      ? "CheckBox"
      : member === "items"
        ? "ListBox"
        : null;
}

/** True for names that differ by one letter, or by two that have changed places. */
function isNear(one: string, other: string): boolean {
  if (one === other || Math.abs(one.length - other.length) > 1) return false;
  let from = 0;
  while (from < Math.min(one.length, other.length) && one[from] === other[from]) from += 1;
  let [a, b] = [one.length, other.length];
  while (a > from && b > from && one[a - 1] === other[b - 1]) {
    a -= 1;
    b -= 1;
  }
  const [left, right] = [one.slice(from, a), other.slice(from, b)];
  return (left.length <= 1 && right.length <= 1) || (left.length === 2 && left === [...right].reverse().join(""));
}

/**
 * What stands on a form by its program alone, where nobody says it: names that nothing declares, that events are heard of, or that are asked for
 * something that only things on forms have. Of two names that are almost alike the one that stands there less often is taken for a misspelt one.
 */
export function guessedControls(text: string, unit: Unit, form: Container): Control[] {
  const tokens = typedBasicTokens(text).filter(({ kind }) => kind !== "comment");
  const declared = new Set(declaredNames(unit));
  const counts = new Map<string, { name: string; times: number; kind: string | null; heard: boolean }>();
  const count = (name: string, kind: string | null, heard: boolean) => {
    const known = counts.get(name.toLowerCase()) ?? { name, times: 0, kind: null, heard: false };
    counts.set(name.toLowerCase(), {
      ...known,
      times: known.times + 1,
      kind: kindByName(known.name) ?? known.kind ?? kind,
      heard: known.heard || heard,
    });
  };
  for (const member of form.members) {
    if (member.kind !== "routine") continue;
    for (const { control, event } of member.handles)
      if (!/^(?:me|mybase)$/i.test(control)) count(control, kindByMember("", event.toLowerCase()), true);
    // A routine that is named after a thing and what happens to it, though it says nowhere that it answers to that.
    const [, thing, event] =
      /^(\w+)_(Click|TextChanged|CheckedChanged|SelectedIndexChanged|ValueChanged|Tick)$/i.exec(member.name) ?? [];
    if (thing && event && member.handles.length === 0 && member.parameters.length === 2)
      count(thing, kindByMember("", event.toLowerCase()), false);
  }
  for (const [at, token] of tokens.entries()) {
    const before = tokens[at - 1];
    const after = tokens[at + 1];
    if (token.kind !== "name" || declared.has(token.text.toLowerCase()) || before?.text.toLowerCase() === "handles")
      continue;
    if (before?.text === "." && tokens[at - 2]?.text.toLowerCase() !== "me") continue;
    if (after?.text !== ".") {
      if (
        before?.text === "." &&
        kindByName(token.text) &&
        form.members.every(
          (member) => member.kind === "field" || member.name.toLowerCase() !== token.text.toLowerCase(),
        )
      )
        count(token.text, null, false);
      continue;
    }
    const member = tokens[at + 2]?.text.toLowerCase() ?? "";
    const isShown = libraryMember("Control", member) !== null && member !== "tostring";
    const kind = kindByName(token.text) ?? kindByMember(member, "") ?? (member === "text" ? "TextBox" : null);
    if (kind && (isShown || kindByMember(member, "") !== null || kindByName(token.text)))
      count(token.text, kind, false);
  }
  const all = [...counts.values()];
  return all
    .filter(
      (one) =>
        one.kind !== null &&
        (one.heard ||
          !all.some(
            (other) =>
              isNear(one.name.toLowerCase(), other.name.toLowerCase()) &&
              (other.heard ||
                other.times > one.times ||
                (other.times === one.times && all.indexOf(other) < all.indexOf(one))),
          )),
    )
    .map(({ name, kind }) => ({ name, kind: kind ?? "TextBox" }));
}

/** All names that a file declares. */
function declaredNames(unit: Unit): string[] {
  const found: string[] = [];
  const visit = (value: unknown): void => {
    if (Array.isArray(value)) for (const each of value) visit(each);
    else if (typeof value === "object" && value !== null) {
      const node = value as Record<string, unknown>;
      const declares =
        "bounds" in node ||
        "byReference" in node ||
        /^(?:module|class|structure|enum|property)$/.test(String(node.kind ?? ""));
      if (declares && typeof node.name === "string") found.push(node.name.toLowerCase());
      if (node.kind === "each" || node.kind === "for") {
        const counter = node.counter as { name?: string } | null;
        if (counter?.name) found.push(counter.name.toLowerCase());
      }
      if ("when" in node && typeof node.name === "string") found.push(node.name.toLowerCase());
      // What a thing is declared in leads back up again.
      for (const [key, inner] of Object.entries(node))
        if (key !== "place" && key !== "outer" && key !== "halves") visit(inner);
    }
  };
  visit(unit.members);
  return found;
}
