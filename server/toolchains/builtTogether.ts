import type { RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { type TriesPlan, textsOf } from "./commandTries.ts";
import type { Part } from "./parts.ts";
import type { Variant } from "./toolchain.ts";

/** How many variants are made one program (runners/native/build_many.py): their kind, each as a part, and the command. */
export type Together = {
  kind: "c" | "pas";
  part: (text: string, number: number) => Part | null;
  build: (source: string, program: string) => readonly string[];
};

const folder = "/tmp/together";
/** Where the program is built. */
export const program = "/tmp/build/program";

/** Variants as parts of one program; what does not fit among the others gets no run here. */
export function planTogether(
  request: RunRequest,
  variants: readonly Variant[],
  { kind, part, build }: Together,
): Pick<TriesPlan, "files" | "build" | "each" | "renamedIn" | "refusedIn"> {
  const [main, ...others] = request.files;
  const name = main?.name ?? "";
  const { texts, textOf } = textsOf(variants);
  const parts = others.length > 0 ? [] : texts.map((bytes, number) => part(decodeText(bytes).text, number));
  const counts = new Map<string, number>();
  for (const each of parts) if (each) counts.set(each.beside, (counts.get(each.beside) ?? 0) + 1);
  const beside = [...counts].sort(([, one], [, other]) => other - one)[0]?.[0];
  const fits = new Map(
    [...parts.entries()].flatMap(([number, each]) => (each && each.beside === beside ? [[number, each]] : [])),
  );
  const numberOf = (at: number) => textOf[at] ?? -1;
  const each = [...variants.keys()]
    .filter((at) => fits.has(numberOf(at)))
    .map((at) => ({ at, run: [program, String(numberOf(at))] }));
  const numbers = [...fits.keys()].join();
  const script = ["/usr/bin/python3", "/runner/native/build_many.py", folder, kind, numbers];
  return {
    files: [...fits].map(([number, { text }]) => ({
      name: `${folder}/t${number}.${kind}`,
      bytes: Buffer.from(text, "utf8"),
    })),
    build: [[...script, ...build(`all.${kind}`, program)]],
    each,
    renamedIn: (at: number) => {
      const number = numberOf(at);
      return [
        [`t${number}.${kind}`, name],
        [`bn${number}_`, ""],
        [`BN${number}_`, ""],
      ] as const;
    },
    refusedIn: (messages: string) => {
      const said = messagesOf(messages, kind);
      return new Map(
        each.flatMap(({ at }) => {
          const text = said.get(numberOf(at));
          return text === undefined ? [] : [[at, text] as const];
        }),
      );
    },
  };
}

/** What was said of each part that was refused; lines without a place belong to the part that was spoken of before. */
function messagesOf(messages: string, kind: string): Map<number, string> {
  const said = new Map<number, string>();
  const refused = new Set<number>();
  let now = -1;
  for (const line of messages.split("\n")) {
    const named = new RegExp(`^(?:\\./)?t(\\d+)\\.${kind}[:(]`).exec(line);
    if (named) now = Number(named[1]);
    if (now >= 0) said.set(now, `${said.get(now) ?? ""}${line}\n`);
    if (named && /(?:error|Error|Fatal):/.test(line)) refused.add(now);
  }
  return new Map([...said].filter(([number]) => refused.has(number)));
}
