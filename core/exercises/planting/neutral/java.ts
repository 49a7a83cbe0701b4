import { bracesNeutral } from "./braces.ts";

export const javaNeutral = bracesNeutral({
  frame: (body, methods) =>
    `import java.util.Scanner;\n\npublic class Main {\n    public static void main(String[] args) {\n${
      body.includes("in.nextInt()") ? "        Scanner in = new Scanner(System.in);\n" : ""
    }${body}\n    }${methods}\n}\n`,
  readNumber: "in.nextInt()",
  print: (value) => `System.out.println(${value})`,
  array: (values) => `{${values}}`,
  ...{ length: "length", truth: "boolean", method: "fareFor" },
});
