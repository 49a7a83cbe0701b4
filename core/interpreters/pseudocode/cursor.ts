import type { Lexeme, Problem } from "./lexer.ts";
import type { At } from "./syntaxTree.ts";
import type { Word } from "./words.ts";

/** What stops the reading of a statement; the next line is read again. */
export class Unread extends Error {
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(problem.says);
    this.problem = problem;
  }
}

/** Where the reading of a program stands, with what is asked and taken there; what fails throws `Unread`. */
export type Cursor = ReturnType<typeof createCursor>;

export function createCursor(lexemes: readonly Lexeme[]) {
  let at = 0;
  const position = (): number => at;
  const now = (): Lexeme => lexemes[at] ?? (lexemes.at(-1) as Lexeme);
  const ahead = (by = 1): Lexeme => lexemes[at + by] ?? (lexemes.at(-1) as Lexeme);
  const place = ({ line, column }: At): At => ({ line, column });
  const isWord = (...words: Word[]) => {
    const lexeme = now();
    return lexeme.kind === "word" && words.includes(lexeme.word);
  };
  const isSign = (...all: string[]) => now().kind === "sign" && all.includes(now().text);
  const fail = (name: string, says: string, where: At = now()): never => {
    throw new Unread({ ...place(where), name, says });
  };
  const take = (): Lexeme => {
    const lexeme = now();
    if (at < lexemes.length - 1) at += 1;
    return lexeme;
  };
  const taken = (...words: Word[]): boolean => isWord(...words) && take() !== undefined;
  const takenSign = (sign: string): boolean => isSign(sign) && take() !== undefined;
  const seen = (lexeme: Lexeme): string =>
    lexeme.kind === "line" ? "the end of the line" : lexeme.kind === "end" ? "the end of the program" : lexeme.text;
  const needWord = (word: Word, spelling: string, after: string): void => {
    if (!taken(word)) fail(`${spelling} missing`, `${after} there should be ${spelling}; here is ${seen(now())}.`);
  };
  const needSign = (sign: string, after: string): void => {
    if (!takenSign(sign)) fail(`${sign} missing`, `${after} there should be ${sign}; here is ${seen(now())}.`);
  };
  const needName = (what: string): Lexeme => {
    if (now().kind === "word") fail("word as name", `${now().text} is a word of the language and cannot be ${what}.`);
    if (now().kind !== "name") fail("name missing", `Here should be ${what}; here is ${seen(now())}.`);
    return take();
  };
  const skipLines = (): void => {
    while (now().kind === "line" || isSign(";")) take();
  };
  const endStatement = (): void => {
    if (now().kind === "end" || now().kind === "line" || isSign(";")) return;
    // A block that was not closed ends before what closes one further out.
    if (lexemes[at - 1]?.kind === "line") return;
    fail("more on the line", `The statement is complete before ${seen(now())}; what is that for?`);
  };
  const toNextLine = (): void => {
    while (now().kind !== "line" && now().kind !== "end") take();
  };
  return {
    ...{ position, now, ahead, place, isWord, isSign, fail, take, taken, takenSign, seen },
    ...{ needWord, needSign, needName, skipLines, endStatement, toNextLine },
  };
}
