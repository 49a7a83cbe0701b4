import { createInterface } from "node:readline";
import { Writable } from "node:stream";
import { type Command, InvalidArgumentError } from "commander";
import { MaterialProblem } from "./material.ts";

/** A port as it is typed. */
export function portNumber(text: string): number {
  const number = Number(text);
  if (!Number.isInteger(number) || number < 0 || number > 65_535)
    throw new InvalidArgumentError("a whole number from 0 to 65535 is needed");
  return number;
}

/** Asks on the terminal for a line that is not shown while it is typed. */
function askHidden(question: string): Promise<string> {
  process.stderr.write(question);
  const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
  const reader = createInterface({ input: process.stdin, output: silent, terminal: true });
  return new Promise((resolve, reject) => {
    reader.once("line", (line) => {
      reader.close();
      process.stderr.write("\n");
      resolve(line);
    });
    reader.once("SIGINT", () => {
      reader.close();
      reject(new Error("No password was given."));
    });
  });
}

/** Asks whoever starts the server for the teacher's password, and for the same once more. */
async function askPassword(problem: string | null): Promise<string> {
  if (problem) process.stderr.write(`${problem}\n`);
  for (;;) {
    const once = await askHidden("A password for you, the teacher: ");
    if ((await askHidden("The same once more: ")) === once) return once;
    process.stderr.write("These were two different ones.\n");
  }
}

type Options = {
  port: number;
  host: string;
  classroom?: boolean;
  newPassword?: boolean;
  certificate?: string;
  certificateKey?: string;
};

/** The options of a command that serves, as `serve` takes them. `given`: the address to listen on where one was named. */
export function serveOptions(given: Options) {
  const { port, host, classroom = false, newPassword = false, certificate, certificateKey } = given;
  if ((certificate === undefined) !== (certificateKey === undefined))
    throw new MaterialProblem("--certificate and --certificate-key belong together: give both, or none.");
  return {
    ...{ port, classroom, newPassword },
    host: classroom && host === "127.0.0.1" ? "0.0.0.0" : host,
    ...(process.stdin.isTTY ? { askPassword } : {}),
    ...(certificate && certificateKey ? { certificate: { certificate, key: certificateKey } } : {}),
  };
}

/** Adds the options of a server that a room of students reaches. */
export function addRoomOptions(command: Command): Command {
  return command
    .option("--classroom", "for a room of students: listens to the whole network, and shows where they go")
    .option("--new-password", "asks for the teacher's password anew")
    .option("--certificate <file>", "a certificate (PEM), for HTTPS")
    .option("--certificate-key <file>", "the certificate's key (PEM)");
}

/** Adds `bent-nail serve`. */
export function addServeCommand(program: Command): void {
  addRoomOptions(
    program
      .command("serve")
      .description("serve the workbench; data in BENT_NAIL_DATA or the user's data folder")
      .option("--port <number>", "port", portNumber, 4200)
      .option("--host <address>", "address to listen on", "127.0.0.1"),
  ).action(async (options: Options) => {
    const { serve } = await import("../server/http/serve.ts");
    await serve(serveOptions(options));
  });
}
