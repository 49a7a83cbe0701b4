import { createCursor, Unread } from "./cursor.ts";
import { anyType, createExpressionReader } from "./expressionReader.ts";
import { lexemesOf, type Problem } from "./lexer.ts";
import type { At, CaseTest, Expression, Parameter, ProgramTree, RecordType, Routine, Statement } from "./syntaxTree.ts";
import type { Word } from "./words.ts";

/** How a program is read: whether `=` assigns as well as compares. */
export type ReadingRules = { equalsAssigns: boolean };
export const usualReading: ReadingRules = { equalsAssigns: true };

/** More problems than these are not said. */
const mostProblems = 20;

/** Blocks lie in one another so deep that nothing else is said of the program. */
class TooDeep extends Error {}

/** Blocks that lie in one another deeper than this are not read. */
const deepest = 400;

/** What a file may be opened for. */
const fileUses = ["read", "write", "append"] as const;

/** Words that say what closes what. */
const closers: Readonly<Partial<Record<Word, string>>> = {
  ...{ endif: "IF", endcase: "CASE", endfor: "FOR", next: "FOR", endwhile: "WHILE", until: "REPEAT" },
  ...{ endprocedure: "PROCEDURE", endfunction: "FUNCTION", endtype: "TYPE" },
};

/**
 * Reads a program. Whatever is wrong is said, statement by statement, in the order of the lines; the tree holds what could be
 * read. Never throws.
 */
export function parseProgram(
  program: string,
  rules: ReadingRules = usualReading,
): { tree: ProgramTree; problems: Problem[] } {
  const { lexemes, problems } = lexemesOf(program);
  const tree: ProgramTree = { types: [], routines: [], body: [] };
  const cursor = createCursor(lexemes);
  const { position, now, ahead, place, isWord, isSign, fail, take, taken, takenSign, seen } = cursor;
  const { needWord, needSign, needName, skipLines, endStatement, toNextLine } = cursor;
  const { expression, sum, listOf, postfix, typeName, arrayType, target, asTarget } = createExpressionReader(cursor);

  const closing = (...words: Word[]) => now().kind === "end" || isWord(...words);

  /** Statements up to one of the words that close or go on with the block; what cannot be read is said and passed over. */
  const block = (...until: Word[]): Statement[] => {
    const body: Statement[] = [];
    for (skipLines(); !closing(...until); skipLines()) {
      const begun = position();
      try {
        const closed = now().kind === "word" ? closers[(now() as { word: Word }).word] : undefined;
        // What closes something further out ends this block; its own end is missed there.
        if (closed !== undefined && isOpen((now() as { word: Word }).word)) break;
        if (closed !== undefined && closesAnother(until, closed)) break;
        if (closed !== undefined || isWord("else", "elseif", "otherwise"))
          fail("end without begin", `${now().text} has nothing to close here: no ${closed ?? "IF"} is open.`);
        const statement = readStatement();
        if (statement) body.push(statement);
        endStatement();
      } catch (problem) {
        if (!(problem instanceof Unread)) throw problem;
        problems.push(problem.problem);
        if (position() === begun) take();
        toNextLine();
      }
    }
    return body;
  };
  /** Words by which the blocks that are open by now are closed, the innermost last. */
  const open: Word[][] = [];
  const isOpen = (word: Word) => open.some((words) => words.includes(word));
  const blockTo = (ends: Word[], between: Word[] = []): Statement[] => {
    if (open.length >= deepest) throw new TooDeep();
    open.push(ends);
    const body = block(...ends, ...between);
    open.pop();
    return body;
  };
  /** A block that was closed by another one's word: that was said, and is not said again. */
  let isClosed = false;
  /** True if the word here, which closes nothing that is open, stands for the end of the innermost block: no end of it follows. */
  const closesAnother = (ends: readonly Word[], closed: string): boolean => {
    const own = ends.find((word) => closers[word] !== undefined);
    const opener = own && closers[own];
    if (open.length === 0 || opener === undefined) return false;
    let depth = 0;
    for (let by = 1; ahead(by).kind !== "end"; by++) {
      const lexeme = ahead(by);
      if (lexeme.kind !== "word") continue;
      if (lexeme.word === opener.toLowerCase()) depth += 1;
      else if (ends.includes(lexeme.word) && closers[lexeme.word] !== undefined) {
        if (depth === 0) return false;
        depth -= 1;
      }
    }
    problems.push({
      ...place(now()),
      name: "other end",
      says: `${now().text} closes a ${closed}, but what is open here is a ${opener}.`,
    });
    take();
    isClosed = true;
    return true;
  };
  const needEnd = (words: Word[], spelling: string, begun: At, opener: string): void => {
    if (isClosed) {
      isClosed = false;
      return;
    }
    if (taken(...words)) return;
    problems.push({
      ...place(begun),
      name: `${spelling} missing`,
      says: `The ${opener} of line ${begun.line} is never closed: ${spelling} is missing. It was noticed at ${now().kind === "end" ? "the end of the program" : `line ${now().line}`}.`,
    });
  };

  const conditionThen = (word: Word, spelling: string, opener: string, isNeeded: boolean): Expression => {
    const condition = expression();
    if (isSign("←")) fail("arrow in condition", "The arrow gives a value; a condition compares with =.");
    if (now().kind === "line" && ahead().kind === "word" && (ahead() as { word?: Word }).word === word) take();
    if (isNeeded) needWord(word, spelling, `Behind the condition of ${opener}`);
    else taken(word);
    return condition;
  };

  const readIf = (begun: At): Statement => {
    const arms: Extract<Statement, { is: "if" }>["arms"] = [];
    const condition = conditionThen("then", "THEN", "IF", true);
    // On one line: a statement, perhaps another behind ELSE, and no end.
    if (now().kind !== "line" && now().kind !== "end") {
      const body = [readStatement()].flatMap((each) => each ?? []);
      let otherwise: Statement[] | null = null;
      if (taken("else")) otherwise = [readStatement()].flatMap((each) => each ?? []);
      taken("endif");
      return { ...begun, is: "if", arms: [{ ...begun, condition, body }], otherwise };
    }
    arms.push({ ...begun, condition, body: blockTo(["endif"], ["else", "elseif"]) });
    let otherwise: Statement[] | null = null;
    for (;;) {
      const where = place(now());
      if (taken("elseif")) {
        const next = conditionThen("then", "THEN", "ELSE IF", true);
        arms.push({ ...where, condition: next, body: blockTo(["endif"], ["else", "elseif"]) });
      } else if (taken("else")) {
        otherwise = blockTo(["endif"], ["else", "elseif"]);
        if (isWord("else", "elseif")) fail("second else", `The IF of line ${begun.line} has its ELSE already.`);
      } else break;
    }
    needEnd(["endif"], "ENDIF", begun, "IF");
    return { ...begun, is: "if", arms, otherwise };
  };

  const readCase = (begun: At): Statement => {
    taken("of");
    const of = expression();
    taken("of");
    taken("do");
    const arms: Extract<Statement, { is: "case" }>["arms"] = [];
    let otherwise: Statement[] | null = null;
    open.push(["endcase"]);
    for (
      skipLines();
      !closing("endcase") && !(now().kind === "word" && isOpen((now() as { word: Word }).word));
      skipLines()
    ) {
      const begunAt = position();
      try {
        const where = place(now());
        if (taken("otherwise", "else")) {
          takenSign(":");
          otherwise = armBody();
          continue;
        }
        taken("case");
        const tests: CaseTest[] = [];
        do {
          const from = sum();
          tests.push({ from, to: taken("to") ? sum() : null });
        } while (takenSign(","));
        needSign(":", "Behind the value of a case");
        arms.push({ ...where, tests, body: armBody() });
      } catch (problem) {
        if (!(problem instanceof Unread)) throw problem;
        problems.push(problem.problem);
        if (position() === begunAt) take();
        toNextLine();
      }
    }
    open.pop();
    needEnd(["endcase"], "ENDCASE", begun, "CASE");
    return { ...begun, is: "case", of, arms, otherwise };
  };
  /** True where the next arm of a case begins: a value with a colon behind it. */
  const isArm = (): boolean => {
    if (isWord("otherwise", "endcase")) return true;
    const isCase = isWord("case");
    for (let by = 0; ; by++) {
      const lexeme = ahead(by);
      if (lexeme.kind === "line" || lexeme.kind === "end") return false;
      if (lexeme.kind === "sign" && lexeme.text === ":") return true;
      if (lexeme.kind === "sign" && ["←", "("].includes(lexeme.text)) return false;
      if (by === 0 && isCase) continue;
      if (lexeme.kind === "word" && !["to", "true", "false"].includes(lexeme.word)) return false;
    }
  };
  const armBody = (): Statement[] => {
    const body: Statement[] = [];
    for (skipLines(); !closing("endcase") && !isArm(); skipLines()) {
      if (now().kind === "word" && isOpen((now() as { word: Word }).word)) break;
      const statement = readStatement();
      if (statement) body.push(statement);
      endStatement();
    }
    return body;
  };

  const readFor = (begun: At): Statement => {
    if (taken("each")) {
      const name = needName("the name for each item").text;
      needWord("in", "IN", "Behind the name for each item");
      const of = expression();
      taken("do");
      const body = blockTo(["next", "endfor"]);
      needEnd(["next", "endfor"], "NEXT", begun, "FOR EACH");
      if (now().kind === "name") take();
      return { ...begun, is: "each", name, of, body };
    }
    const counter = needName("the name of the counter").text;
    if (!takenSign("←") && !takenSign("=") && !taken("from"))
      fail("first value missing", `Behind the counter there should be ← and its first value; here is ${seen(now())}.`);
    const from = expression();
    needWord("to", "TO", "Behind the first value of the counter");
    const to = expression();
    const step = taken("step") ? expression() : null;
    taken("do");
    endStatement();
    const body = blockTo(["next", "endfor"]);
    needEnd(["next", "endfor"], "NEXT", begun, "FOR");
    if (now().kind === "name") {
      const named = take();
      if (named.text.toLowerCase() !== counter.toLowerCase())
        problems.push({
          ...place(named),
          name: "other counter",
          says: `This closes the loop of ${counter}, but names ${named.text}.`,
        });
    }
    return { ...begun, is: "for", counter, from, to, step, body };
  };

  const parameters = (): Parameter[] => {
    const found: Parameter[] = [];
    if (!takenSign("(")) return found;
    while (!isSign(")")) {
      const byReference = taken("byref") || (taken("byval") && false);
      const names = [needName("the name of a parameter").text];
      const type = takenSign(":") ? typeName() : anyType;
      const later = taken("byref");
      taken("byval");
      for (const name of names) found.push({ name, type, byReference: byReference || later });
      if (!takenSign(",")) break;
    }
    needSign(")", "Behind the parameters");
    return found;
  };
  const readRoutine = (begun: At, gives: boolean): void => {
    const name = needName(gives ? "the name of the function" : "the name of the procedure").text;
    const own = parameters();
    const returns = taken("returns") || (gives && takenSign(":")) ? typeName() : anyType;
    endStatement();
    const ends: Word[] = gives ? ["endfunction"] : ["endprocedure"];
    const body = blockTo(ends);
    const endLine = now().line;
    needEnd(ends, gives ? "ENDFUNCTION" : "ENDPROCEDURE", begun, gives ? "FUNCTION" : "PROCEDURE");
    const routine: Routine = { ...begun, name, parameters: own, gives, returns, body, endLine };
    tree.routines.push(routine);
  };
  const readType = (begun: At): void => {
    const name = needName("the name of the type").text;
    endStatement();
    const fields: RecordType["fields"] = [];
    for (skipLines(); !closing("endtype"); skipLines()) {
      taken("declare");
      const names = [needName("the name of a field").text];
      while (takenSign(",")) names.push(needName("the name of a field").text);
      const type = takenSign(":") ? typeName() : anyType;
      for (const each of names) fields.push({ name: each, type });
      endStatement();
    }
    needEnd(["endtype"], "ENDTYPE", begun, "TYPE");
    tree.types.push({ ...begun, name, fields });
  };

  const readStatement = (): Statement | null => {
    const lexeme = now();
    const begun = place(lexeme);
    if (lexeme.kind === "name") return readNamed(begun);
    if (lexeme.kind !== "word") return fail("no statement", `No statement begins with ${seen(lexeme)}.`);
    if (ahead().kind === "sign" && ahead().text === "←")
      return fail("word as name", `${lexeme.text} is a word of the language and cannot be given a value.`);
    take();
    switch (lexeme.word) {
      case "if":
        return readIf(begun);
      case "case":
        return readCase(begun);
      case "for":
        return readFor(begun);
      case "while": {
        const condition = conditionThen("do", "DO", "WHILE", false);
        const body = blockTo(["endwhile"]);
        needEnd(["endwhile"], "ENDWHILE", begun, "WHILE");
        return { ...begun, is: "while", condition, body };
      }
      case "repeat":
      case "do": {
        const body = blockTo(["until"]);
        const untilLine = now().line;
        needEnd(["until"], "UNTIL", begun, "REPEAT");
        const condition: Expression =
          now().kind === "end" || now().kind === "line"
            ? fail("condition missing", "Behind UNTIL a condition is missing.")
            : expression();
        return { ...begun, is: "repeat", condition, untilLine, body };
      }
      case "procedure":
      case "function":
        if (open.length > 0)
          fail(
            "routine inside",
            `A ${lexeme.text.toUpperCase()} cannot stand inside another block; is an end missing above?`,
            lexeme,
          );
        readRoutine(begun, lexeme.word === "function");
        return null;
      case "type":
        readType(begun);
        return null;
      case "declare": {
        const names = [needName("the name that is declared").text];
        while (takenSign(",")) names.push(needName("the name that is declared").text);
        needSign(":", "Behind the declared name");
        return { ...begun, is: "declare", names, type: typeName() };
      }
      case "array": {
        // ARRAY loads[1:5]
        const name = needName("the name of the array").text;
        return { ...begun, is: "declare", names: [name], type: arrayType("Behind the name of the array") };
      }
      case "constant": {
        const name = needName("the name of the constant").text;
        if (!takenSign("←") && !takenSign("="))
          fail("value missing", "Behind the name of a constant there should be ← and its value.");
        return { ...begun, is: "constant", name, value: expression() };
      }
      case "set": {
        const given = target();
        if (!taken("to") && !takenSign("←"))
          fail("TO missing", "Behind the name that is set there should be TO and its value.");
        return { ...begun, is: "assign", target: given, value: expression() };
      }
      case "output": {
        const items = now().kind === "line" || now().kind === "end" ? [] : listOf();
        return { ...begun, is: "output", items, stays: false };
      }
      case "input": {
        if (now().kind === "text") {
          const prompt = expression();
          if (!takenSign(","))
            fail(", missing", "Behind the text that asks there should be a comma and the name that is read.");
          return { ...begun, is: "input", prompt, targets: targets() };
        }
        return { ...begun, is: "input", prompt: null, targets: targets() };
      }
      case "call": {
        const name = needName("the name of a procedure").text;
        const given = takenSign("(") ? (isSign(")") ? [] : listOf()) : null;
        if (given) needSign(")", "Behind what is given to it");
        return { ...begun, is: "call", name, given: given ?? [] };
      }
      case "return":
        return { ...begun, is: "return", value: now().kind === "line" || now().kind === "end" ? null : expression() };
      case "openfile": {
        const file = expression();
        taken("for");
        const word = take();
        const use = fileUses.find((each) => each === word.text.toLowerCase());
        if (use === undefined)
          return fail("use missing", "Behind the file's name there should be FOR and READ, WRITE or APPEND.", word);
        return { ...begun, is: "openfile", file, use };
      }
      case "readfile": {
        const file = expression();
        needSign(",", "Behind the file's name");
        return { ...begun, is: "readfile", file, target: target() };
      }
      case "writefile": {
        const file = expression();
        needSign(",", "Behind the file's name");
        return { ...begun, is: "writefile", file, value: expression() };
      }
      case "closefile":
        return { ...begun, is: "closefile", file: expression() };
      case "stop":
        return { ...begun, is: "stop" };
      // A frame around the whole program says nothing.
      case "begin":
      case "end":
        return null;
      default:
        return fail("no statement", `No statement begins with ${lexeme.text}.`, lexeme);
    }
  };
  const targets = (): Expression[] => {
    const found = [target()];
    while (takenSign(",")) found.push(target());
    return found;
  };
  const readNamed = (begun: At): Statement => {
    const left = postfix();
    if (left.is === "call" && !isSign("←", "=")) return { ...begun, is: "call", name: left.name, given: left.given };
    const sign = now();
    if (sign.kind === "sign" && sign.written === "==")
      return fail("== for ←", "== compares two values; a value is given with ← here.");
    if (takenSign("←") || (isSign("=") && rules.equalsAssigns && takenSign("=")))
      return { ...begun, is: "assign", target: asTarget(left), value: expression() };
    if (isSign("=")) return fail("= for ←", "= compares; a value is given with ← here.");
    if (left.is === "name" && (now().kind === "line" || now().kind === "end"))
      return { ...begun, is: "call", name: left.name, given: [] };
    if (left.is === "name" && now().kind === "name")
      return fail(
        "no statement",
        `${left.name} ${now().text} is no statement; is ← missing, or a word misspelt?`,
        left,
      );
    return fail(
      "no statement",
      `Behind ${left.is === "name" ? left.name : "this"} there should be ← and a value; here is ${seen(now())}.`,
    );
  };
  try {
    for (;;) {
      tree.body.push(...block());
      if (now().kind === "end") break;
      take();
    }
  } catch (problem) {
    if (!(problem instanceof TooDeep)) throw problem;
    const says = `More than ${deepest} blocks lie in one another here; is an end missing again and again?`;
    return { tree, problems: [{ ...place(now()), name: "nested too deeply", says }] };
  }
  problems.sort((one, other) => one.line - other.line || one.column - other.column);
  return { tree, problems: problems.slice(0, mostProblems) };
}
