import { expect, test } from "vitest";
import { findLanguage } from "./languages.ts";
import { usesChance } from "./usesChance.ts";

test.each([
  ["python", "import random\nprint(random.randint(1, 6))\n", true],
  ["python", "from random import shuffle\ncars = [1, 2]\nshuffle(cars)\n", true],
  ["python", "import random\nimport math\nprint(math.floor(2.5))\n", false],
  ["python", "from time import sleep\nrandom = 3\nprint(random + 1)\n", false],
  ["python", "# random.random()\nprint('random.random()')\n", false],
  ["java", "import java.util.Random;\nclass A { int f() { return new Random().nextInt(6); } }", true],
  ["java", "import java.util.Random;\nclass A { int f(int random) { return random; } }", false],
  ["java", "class A { double f() { return Math.random(); } }", true],
  ["csharp", "using System;\nclass A { int F() { return new Random().Next(6); } }", true],
  ["c", "#include <stdlib.h>\nint f(void) { return rand() % 6; }", true],
  ["c", "int rand;\nint f(void) { rand = 3; return rand; }", false],
  ["octave", "x = rand(3);\n", true],
] as const)("%s: %j draws on chance or the clock: %s", (id, text, draws) => {
  const language = findLanguage(id);
  expect(language && usesChance(language, text)).toBe(draws);
});
