import fc from "fast-check";
import { expect, test } from "vitest";
import { oneSignApart } from "../../core/lessons/oneSign.ts";
import { withLine } from "./LabToDo.tsx";
import { labReplySchema, labRowSchema } from "./labReply.ts";

test("one line is another one, and the ends of lines stay as they are", () => {
  expect(withLine("deck = 4\r\nprint(deck)\r\n", 1, "deck = 5")).toBe("deck = 5\r\nprint(deck)\r\n");
  expect(withLine("deck = 4\nprint(deck)", 2, "print(deck")).toBe("deck = 4\nprint(deck");
  expect(withLine("deck = 4\n", 9, "x")).toBe("deck = 4\n");
});

test("a sign put into any line of any program is one sign apart", () => {
  const line = fc.stringMatching(/^[a-z =()]{0,12}$/);
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), fc.nat(), fc.nat(), (lines, which, where) => {
      const program = `${lines.join("\n")}\n`;
      const at = which % lines.length;
      const text = lines[at] ?? "";
      const place = where % (text.length + 1);
      const changed = withLine(program, at + 1, `${text.slice(0, place)}#${text.slice(place)}`);
      expect(oneSignApart(program, changed)).toMatchObject({ line: at + 1, before: "", after: "#" });
    }),
  );
});

test("what the server says, and what a browser kept, is read or refused", () => {
  const came = { class: null, message: "", line: null, printed: "4\n" };
  const reply = { ok: true, came, line: 1, before: "a", after: "b" };
  expect(labReplySchema.parse(reply)).toEqual(reply);
  expect(labReplySchema.safeParse({ ok: true }).success).toBe(false);
  expect(labRowSchema.safeParse({ line: 1, before: "", after: "", guess: "luck", words: "", came }).success).toBe(
    false,
  );
});
