import { expect, test } from "vitest";
import { actionsOfBasic } from "./actions.ts";

const isForm = (program: string) => actionsOfBasic(program) !== null;
const form = "Public Class Form1\n  Private Sub btn_Click() Handles btn.Click\n  End Sub\nEnd Class\n";

test("a program with a form has a user who acts, one with a Sub Main is typed in to", () => {
  expect(isForm(form)).toBe(true);
  expect(isForm("Class Tides\n  Inherits System.Windows.Forms.Form\nEnd Class\n")).toBe(true);
  expect(isForm("Module Deck\n  Sub Main()\n  End Sub\nEnd Module\n")).toBe(false);
  expect(isForm(`${form}Module Deck\n  Sub Main()\n  End Sub\nEnd Module\n`)).toBe(false);
  expect(actionsOfBasic("Module Deck\nEnd Module\n")).toBeNull();
});

test("a line that nobody can do is told by its number", () => {
  const problems = (input: string) =>
    actionsOfBasic(form)
      ?.problems(input)
      .map(({ line }) => line);
  expect(
    problems("type txtFare 3.50\npress btnWork\r\ntick chk\nchoose lst Puffin\nanswer\nring tmr\n\nclose\n"),
  ).toEqual([]);
  expect(problems("press\nclick btnWork\nchoose lst\nclose now\ntick chk twice\ntype 3 4\n")).toEqual([
    1, 2, 3, 4, 5, 6,
  ]);
});
