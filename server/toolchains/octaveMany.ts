import type { ConsolePiece, RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { ManyPlan, TriedVariant } from "./manyVariants.ts";
import type { Variant } from "./toolchain.ts";

/** Bytes of output that are kept of a variant. */
const most = 64 << 10;
/** What starting the interpreter takes is no part of a variant's time here, in seconds. */
const least = 0.25;

/** One job in which one interpreter tries all variants (runners/octave_many/__bent_nail_many__.m). */
export function manyInOctave(
  command: readonly string[],
  request: RunRequest,
  variants: readonly Variant[],
  startSeconds: number,
): ManyPlan {
  const [main, ...others] = request.files;
  const name = main?.name ?? "";
  const seconds = Math.max(least, (request.limits.cpuSeconds - startSeconds + 0.1) * 2.5);
  // A main file that begins with a function is taken for that function alone, which only a run of its own shows.
  const together = [...variants.keys()].filter((at) => !beginsWithFunction(variants[at]?.main ?? new Uint8Array()));
  const call = `__bent_nail_many__(${together.length}, ${seconds}, '${name.replaceAll("'", "''")}', ${Math.min(most, request.limits.outputBytes)});`;
  return {
    files: [
      ...others,
      ...together.map((at, place) => ({
        name: `/tmp/variants/${place + 1}/${name}`,
        bytes: variants[at]?.main ?? new Uint8Array(),
      })),
      { name: "/tmp/typed", bytes: Buffer.from(variants[0]?.input ?? "", "utf8") },
    ],
    run: [...command, "--path", "/runner/octave_many", "--eval", call],
    seconds: 1 + startSeconds + seconds * together.length,
    read: (printed) =>
      new Map(
        [...readMany(printed)].flatMap(([place, tried]) => {
          const at = together[place];
          return at === undefined ? [] : [[at, tried] as const];
        }),
      ),
  };
}

function beginsWithFunction(main: Uint8Array): boolean {
  return /^(?:\s|[%#][^\n]*(?:\n|$))*function\b/.test(decodeText(main).text);
}

/** What stands between the two signs was typed in. */
function piecesOf(out: string, err: string): ConsolePiece[] {
  const pieces: ConsolePiece[] = out.split("\x02").flatMap((part, at): ConsolePiece[] => {
    const end = part.indexOf("\x03");
    if (at === 0 || end < 0) return [{ kind: "out", text: part }];
    return [
      { kind: "in", text: `${part.slice(0, end)}\n` },
      { kind: "out", text: part.slice(end + 1) },
    ];
  });
  return [...pieces, { kind: "err" as const, text: err }].filter((piece) => piece.text !== "");
}

/** The answers in what the job printed, by the variants' places; what is no answer is passed over. */
export function readMany(printed: string): Map<number, TriedVariant> {
  const found = new Map<number, TriedVariant>();
  for (const line of printed.split("\n")) {
    const head = /^(\d+) (\d+) (-?\d+) (\d+) =([A-Za-z0-9+/=]*) =([A-Za-z0-9+/=]*)$/.exec(line.trim());
    if (!head) continue;
    const [number = 0, exit = 0, signal = 0, milliseconds = 0] = head.slice(1, 5).map(Number);
    const [out, err] = [head[5], head[6]].map((encoded) =>
      Buffer.from(encoded ?? "", "base64")
        .toString("utf8")
        .replaceAll(/\/tmp\/variants\/\d+\//g, ""),
    );
    found.set(number - 1, {
      console: piecesOf(out ?? "", err ?? ""),
      ...{ exit, signal: Math.max(0, signal), stopped: signal < 0 ? "time" : "none", milliseconds },
      ranOut: /reading user-input failed/.test(err ?? ""),
    });
  }
  return found;
}
