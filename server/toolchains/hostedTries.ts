import { availableParallelism } from "node:os";
import { posix } from "node:path";
import type { Language } from "../../core/languages/language.ts";
import { tokensByLine } from "../../core/languages/lexical.ts";
import type { ProgramFiles, RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { type TriesPlan, textsOf } from "./commandTries.ts";
import type { Variant } from "./toolchain.ts";
import type { Translated, Translation } from "./translators.ts";

/** Where the folders of the variants lie, by the numbers of their texts. */
export const variantsFolder = "/tmp/variants";
const endingOf = (name: string) => /\.[^./]*$/.exec(name)?.[0] ?? "";

/**
 * How many programs are translated in one go: each is put into a package or namespace of its own, which is the folder of its
 * file. `apart`: words by which a text may notice, or cannot be put there. Null in the place of one to be translated alone.
 */
export type TranslatedTogether = {
  translate: (programs: ProgramFiles) => Promise<ReadonlyArray<Translated | null>>;
  apart: RegExp;
};

/** Texts in one go at most, in signs: more would only make the first of them wait. */
const mostSigns = 400_000;

type HostedLanguage = {
  translate: (translation: Translation) => Promise<Translated | null>;
  together?: TranslatedTogether;
  alone: (text: string) => boolean;
  line: (folder: string, main: string) => string;
  host: (list: string) => readonly string[];
  until: number;
} & Pick<TriesPlan, "terminal" | "environment" | "limits" | "renamed" | "startSeconds" | "hostShows">;

/**
 * Whether a program has such words outside of its comments, of what it prints (“on run 2” starts nothing) and of its own names
 * (what `who` is given is a variable; that of something else, behind a point, is not its own). A text that holds code, as C# has them, counts as code; `madeOfText` are words by which a program may do what a text of it says.
 */
export function inCode(language: Language, words: RegExp, madeOfText?: RegExp): (text: string) => boolean {
  return (text) => {
    if (!words.test(text)) return false;
    if (madeOfText?.test(text)) return true;
    const said = language.tokens(text).filter(({ kind, text: word }) => kind !== "comment" && !/^["']/.test(word));
    const own = new Set([...tokensByLine(said).values()].flatMap((line) => language.assignedNames(line)));
    const isOwn = (at: number) => own.has(said[at]?.text ?? "") && said[at - 1]?.text !== ".";
    return words.test(said.flatMap((token, at) => (isOwn(at) ? [] : [token.text])).join(" "));
  };
}

/** The folder, package or namespace that a text has among others. */
const placeOf = (text: number) => `bn${text}_`;

/** What became of texts that can be translated in one go, by their places among all; nothing of those that cannot. */
async function translateTogether(
  { files }: Pick<RunRequest, "files">,
  texts: readonly string[],
  { together, alone, until }: HostedLanguage,
): Promise<ReadonlyMap<number, Translated>> {
  const [name, ...others] = files.map((file) => file.name);
  const isOneFile = name !== undefined && !others.some((other) => endingOf(other) === endingOf(name));
  if (!together || !isOneFile || Date.now() >= until) return new Map();
  let signs = 0;
  const beside = texts.flatMap((text, at) => {
    if (alone(text) || together.apart.test(text)) return [];
    signs += text.length;
    return signs <= mostSigns ? [at] : [];
  });
  if (beside.length < 2) return new Map();
  const programs = beside.map((at) => ({
    name: `${placeOf(at)}/${name}`,
    bytes: Buffer.from(texts[at] ?? "", "utf8"),
  }));
  const told = await together.translate(programs);
  return new Map(
    beside.flatMap((at, place) => {
      const one = told[place];
      return one ? [[at, one] as const] : [];
    }),
  );
}

/**
 * The plan of a language whose programs are translated by a translator that stays and run by a host of ours in one machine.
 * `translate` gives what was made of a text, null where the translator gave up. `alone`: whether a text may reach what all
 * programs of a machine have in common (inCode). `line` is what the host is told of a text in a folder.
 */
export async function planHosted(
  request: RunRequest,
  variants: readonly Variant[],
  language: HostedLanguage,
): Promise<TriesPlan> {
  const { translate, together: _, alone, line, host, until, ...plan } = language;
  const { texts, textOf } = textsOf(variants);
  const [main, ...others] = request.files;
  const decoded = texts.map((bytes) => decodeText(bytes).text);
  const placed = await translateTogether(request, decoded, language);
  const translated: Array<Translated | null> = texts.map((_, text) => placed.get(text) ?? null);
  const next = texts.entries();
  const lane = async () => {
    // Those that there is no time for stay untold.
    for (const [text, bytes] of next)
      if (!translated[text] && Date.now() < until && !alone(decoded[text] ?? ""))
        translated[text] = await translate({ record: false, files: [{ name: main?.name ?? "", bytes }, ...others] });
  };
  await Promise.all(Array.from({ length: availableParallelism() }, lane));
  const folder = (text: number) => `${variantsFolder}/${text}`;
  const all = [...variants.keys()];
  const told = (at: number) => translated[textOf[at] ?? -1] ?? null;
  const each = all.filter((at) => told(at)?.ok).map((at) => ({ at }));
  const list = `${variantsFolder}/list`;
  return {
    ...plan,
    build: [],
    files: [
      ...others,
      ...translated.flatMap((one, text) =>
        one?.ok ? one.made.map((file) => ({ name: posix.join(folder(text), file.name), bytes: file.bytes })) : [],
      ),
      {
        name: list,
        bytes: Buffer.from(each.map(({ at }) => line(folder(textOf[at] ?? 0), told(at)?.main ?? "")).join("\n")),
      },
    ],
    host: host(list),
    each,
    renamedIn: (at) => [...(plan.renamed ?? []), [`${folder(textOf[at] ?? 0)}/`, ""]],
    withinIn: (at) => (placed.has(textOf[at] ?? -1) ? placeOf(textOf[at] ?? -1) : undefined),
    said: new Map(all.flatMap((at) => (told(at) ? [[at, told(at)?.said ?? ""] as const] : []))),
    refused: new Set(all.filter((at) => told(at)?.ok === false)),
  };
}
