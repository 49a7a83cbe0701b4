import { bracesNeutral } from "./braces.ts";

export const csharpNeutral = bracesNeutral({
  frame: (body, methods) => `using System;\n\nclass Program {\n    static void Main() {\n${body}\n    }${methods}\n}\n`,
  readNumber: "int.Parse(Console.ReadLine())",
  print: (value) => `Console.WriteLine(${value})`,
  array: (values) => `{ ${values} }`,
  ...{ length: "Length", truth: "bool", method: "FareFor" },
});
