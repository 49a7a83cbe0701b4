import { Readable } from "node:stream";
import { runCommand } from "./command.ts";

export type Told = { code: number; out: string; err: string };

/** What a stream of this process is given while some work is done, instead of what stands at its end. */
async function heard<T>(streams: ReadonlyArray<NodeJS.WriteStream>, work: () => Promise<T>): Promise<[T, string[]]> {
  const texts = streams.map(() => [] as Buffer[]);
  const writes = streams.map((stream) => stream.write);
  for (const [at, stream] of streams.entries())
    stream.write = ((part: string | Uint8Array) => {
      texts[at]?.push(Buffer.from(part as string));
      return true;
    }) as typeof stream.write;
  try {
    const result = await work();
    return [result, texts.map((parts) => Buffer.concat(parts).toString("utf8"))];
  } finally {
    for (const [at, stream] of streams.entries()) stream.write = writes[at] as typeof stream.write;
  }
}

/**
 * For tests: runs a command in this process as a person would in a folder, with what is typed in and settings of its own. No
 * other one may run meanwhile; what a process of its own does (its start, its ends of pipes) is not seen here.
 */
export async function commandHere(
  folder: string,
  given: readonly string[],
  input = "",
  environment: Readonly<Record<string, string>> = {},
): Promise<Told> {
  const [before, exitCode, stdin] = [
    process.cwd(),
    process.exitCode,
    Object.getOwnPropertyDescriptor(process, "stdin"),
  ];
  const settings = Object.keys(environment).map((name) => [name, process.env[name]] as const);
  process.chdir(folder);
  Object.assign(process.env, environment);
  process.exitCode = undefined;
  Object.defineProperty(process, "stdin", {
    value: Readable.from(input === "" ? [] : [Buffer.from(input)]),
    configurable: true,
  });
  try {
    const [code, [out = "", err = ""]] = await heard([process.stdout, process.stderr], () => runCommand(given));
    return { code: code || Number(process.exitCode ?? 0), out, err };
  } finally {
    process.chdir(before);
    process.exitCode = exitCode;
    if (stdin) Object.defineProperty(process, "stdin", stdin);
    for (const [name, value] of settings)
      if (value === undefined) delete process.env[name];
      else process.env[name] = value;
  }
}
