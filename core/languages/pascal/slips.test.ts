import { slipsOf } from "../../edits/slipsOf.ts";

// Each was found and proved by a search in real runs before it was written down.
slipsOf("pascal", [
  [
    "refused",
    "sign",
    `program A;
var x: integer;
begin
  x = 3;
  writeln(x);
end.`,
    "x = 3;",
    "x := 3;",
  ],
  [
    "refused",
    "quote",
    `program A;
begin
  writeln("Tern");
end.`,
    'writeln("Tern");',
    "writeln('Tern');",
  ],
  [
    "refused",
    "block-end",
    `program A;
begin
  writeln('Tern');
end;`,
    "end;",
    "end.",
  ],
  [
    "refused",
    "declaration",
    `program A;
begin
  x := 3;
  writeln(x);
end.`,
    "begin",
    `var x: integer;
begin`,
  ],
  [
    "refused",
    "sign",
    `program A;
var x: integer;
begin
  x := 3;
  if x == 3 then
    writeln('three');
end.`,
    "if x == 3 then",
    "if x = 3 then",
  ],
  [
    "refused",
    "terminator",
    `program A;
var x: integer;
begin
  x := 3;
  if x > 2 then
    writeln('a');
  else
    writeln('b');
end.`,
    "writeln('a');",
    "writeln('a')",
  ],
  [
    "refused",
    "arithmetic",
    `program A;
var x: integer;
begin
  x := 7 / 2;
  writeln(x);
end.`,
    "x := 7 / 2;",
    "x := 7 div 2;",
  ],
  [
    "refused",
    "word",
    `program A;
var i: integer;
begin
  for i := 1 to 3
    writeln(i);
end.`,
    "for i := 1 to 3",
    "for i := 1 to 3 do",
  ],
  [
    "refused",
    "terminator",
    `program A;
var i: integer
begin
  i := 2;
  writeln(i);
end.`,
    "var i: integer",
    "var i: integer;",
  ],
  [
    "starts",
    "block-marks",
    `program A;
var i: integer;
begin
  i := 1;
  while i < 3 do
    writeln(i);
    i := i + 1;
end.`,
    `writeln(i);
    i := i + 1;`,
    `begin writeln(i);
    i := i + 1; end;`,
  ],
  [
    "refused",
    "formula-brackets",
    `program A;
var x: integer;
begin
  x := 3;
  if x > 2 and x < 9 then
    writeln('in');
end.`,
    "if x > 2 and x < 9 then",
    "if (x > 2) and (x < 9) then",
  ],
  [
    "refused",
    "word",
    `program A;
var x: int;
begin
  x := 3;
  writeln(x);
end.`,
    "var x: int;",
    "var x: integer;",
  ],
  [
    "refused",
    "terminator",
    `program A;
var x: integer;
begin
  x := 3
  writeln(x);
end.`,
    "x := 3",
    "x := 3;",
  ],
  [
    "refused",
    "word",
    `program A;
var x: integer;
begin
  x := 3;
  if x = 3
    writeln('a');
end.`,
    "if x = 3",
    "if x = 3 then",
  ],
  [
    "refused",
    "sign",
    `program A;
var x: integer;
begin
  read(x);
  writeln('x is ' x);
end.`,
    "writeln('x is ' x);",
    "writeln('x is ', x);",
  ],
  [
    "refused",
    "sign",
    `program A;
var i: integer;
begin
  for i = 1 to 3 do
    writeln(i);
end.`,
    "for i = 1 to 3 do",
    "for i := 1 to 3 do",
  ],
  [
    "starts",
    "first-value",
    `program A;
var i: integer;
begin
  while i <= 3 do
  begin
    writeln(i);
    i := i + 1;
  end;
end.`,
    "while i <= 3 do",
    `i := 1;
  while i <= 3 do`,
  ],
  [
    "refused",
    "other-forms",
    `program A;
function twice(x: integer);
begin
  twice := 2 * x;
end;
begin
  writeln(twice(4));
end.`,
    "function twice(x: integer);",
    "function twice(x: integer): integer;",
  ],
  [
    "refused",
    "terminator",
    `program A;
var x: integer;
begin
  x := 3;
  if x > 2 then
    writeln('a')
    writeln('b');
end.`,
    "writeln('a')",
    "writeln('a');",
  ],
  [
    "refused",
    "quote",
    `program A;
var s: string;
begin
  s := 'it's';
  writeln(s);
end.`,
    "s := 'it's';",
    "s := 'it''s';",
  ],
  [
    "refused",
    "sign",
    `program A;
var x: integer;
begin
  x := 3;
  x++;
  writeln(x);
end.`,
    "x++;",
    "x := x + 1;",
  ],
  [
    "starts",
    "empty-body",
    `program P1;
var i, sum: integer;
begin
  for i := 1 to 3 do;
    sum := sum + i;
  writeln(sum);
end.`,
    "for i := 1 to 3 do;",
    "for i := 1 to 3 do",
  ],
  [
    "refused",
    "terminator",
    `program P1;
var x: integer;
begin
  readln(x)
  if x > 2 then
    writeln('a');
end.`,
    "readln(x)",
    "readln(x);",
  ],
  [
    "refused",
    "block-end",
    `program P1;
var x: integer;
begin
  x := 3;
  case x of
    1: writeln('a');
    3: writeln('c')
  writeln('end');
end.`,
    "writeln('end');",
    `end;
  writeln('end');`,
  ],
  [
    "refused",
    "terminator",
    `program P1;
procedure show(x: integer)
begin
  writeln(x);
end;
begin
  show(3);
end.`,
    "procedure show(x: integer)",
    "procedure show(x: integer);",
  ],
  [
    "refused",
    "quote",
    `program P1;
var s: string;
begin
  s := 'a';
  if s = "a" then writeln('yes');
end.`,
    "if s = \"a\" then writeln('yes');",
    "if s = 'a' then writeln('yes');",
  ],
  [
    "refused",
    "block-end",
    `program P1;
var x: integer;
begin
  x := 0;
  repeat
    x := x + 1;
    writeln(x);
  until x = 3
end`,
    "end",
    "end.",
  ],
]);
