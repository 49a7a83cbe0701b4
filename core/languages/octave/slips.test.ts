import { slipsOf } from "../../edits/slipsOf.ts";

// Each was found and proved by a search in real runs before it was written down.
slipsOf("octave", [
  [
    "refused",
    "sign",
    `x = 3;
printf('%d\\n' x);`,
    "printf('%d\\n' x);",
    "printf('%d\\n', x);",
  ],
  [
    "starts",
    "equality-sign",
    `x = 3;
if x = 4
  disp('four');
else
  disp('no');
end`,
    "if x = 4",
    "if x == 4",
  ],
  [
    "refused",
    "other-forms",
    `for i in 1:3
  disp(i);
end`,
    "for i in 1:3",
    "for i = 1:3",
  ],
  [
    "refused",
    "other-forms",
    `x = [4 5 6];
disp(x[1]);`,
    "disp(x[1]);",
    "disp(x(1));",
  ],
  [
    "starts",
    "equality-sign",
    `x == 3;
disp(x);`,
    "x == 3;",
    "x = 3;",
  ],
  [
    "starts",
    "constant",
    `x = [1 2 3];
disp(x(0));`,
    "disp(x(0));",
    "disp(x(1));",
  ],
  [
    "refused",
    "other-blocks",
    `x = 3;
if x > 2 {
  disp('a');
}`,
    `if x > 2 {
  disp('a');
}`,
    `if x > 2
  disp('a');
end`,
  ],
  [
    "starts",
    "arithmetic",
    `x = [1 2 3];
y = x ^ 2;
disp(y);`,
    "y = x ^ 2;",
    "y = x .^ 2;",
  ],
  [
    "refused",
    "other-forms",
    `x = 3;
if x > 2 && < 9
  disp('in');
end`,
    "if x > 2 && < 9",
    "if x > 2 && x < 9",
  ],
  [
    "refused",
    "other-forms",
    `n = length[1 2 3];
disp(n);`,
    "n = length[1 2 3];",
    "n = length([1 2 3]);",
  ],
  [
    "refused",
    "quote",
    `s = "Tern';
disp(s);`,
    "s = \"Tern';",
    "s = 'Tern';",
  ],
  [
    "refused",
    "chain",
    `x = 3;
if x > 2
  disp('a');
else if x > 1
  disp('b');
end`,
    "else if x > 1",
    "elseif x > 1",
  ],
  ["starts", "name", `disp(lenght([1 2]));`, "disp(lenght([1 2]));", "disp(length([1 2]));"],
  [
    "starts",
    "other-forms",
    `function r = twice(x)
  r = 2 * x;
end
disp(twice(4));`,
    "function r = twice(x)",
    `1;
function r = twice(x)`,
  ],
  [
    "refused",
    "bracket",
    `x = [1, 2, 3;
disp(x(1));`,
    "x = [1, 2, 3;",
    "x = [1, 2, 3];",
  ],
  [
    "starts",
    "other-forms",
    `for i = 1..3
  disp(i);
end`,
    "for i = 1..3",
    "for i = 1:3",
  ],
  [
    "starts",
    "other-forms",
    `total = 0;
for i = 1:3
  total += i
end
printf('%d\\n', total);`,
    "total += i",
    "total += i;",
  ],
  [
    "starts",
    "loop-change",
    `x = 3;
while x > 0
  disp(x);
  x - 1;
end`,
    "end",
    `  x = x - 1;
end`,
  ],
  [
    "refused",
    "word",
    `x = 5;
if x > 3 and x < 9
  disp('in');
end`,
    "if x > 3 and x < 9",
    "if x > 3 && x < 9",
  ],
  [
    "refused",
    "sign",
    `x = 5;
if x != 5 || x =! 4
  disp('a');
end`,
    "if x != 5 || x =! 4",
    "if x != 5 || x != 4",
  ],
  [
    "starts",
    "constant",
    `x = [1 2 3];
for i = 1:4
  disp(x(i));
end`,
    "for i = 1:4",
    "for i = 1:3",
  ],
  [
    "refused",
    "sign",
    `x = 3;
switch x
  case 3:
    disp('three');
end`,
    "case 3:",
    "case 3",
  ],
  [
    "refused",
    "chain",
    `x = 5;
if (x > 3)
  disp('a');
else if (x > 1)
  disp('b');
end`,
    "else if (x > 1)",
    "elseif (x > 1)",
  ],
  [
    "starts",
    "loop-change",
    `n = 3;
s = 0;
while n > 0
  s = s + n;
end
disp(s);`,
    "end",
    `  n = n - 1;
end`,
  ],
  [
    "starts",
    "other-forms",
    `x = 3
printf('%d\\n', x);`,
    "x = 3",
    "x = 3;",
  ],
]);
