import type { InputForms } from "../inputReads.ts";

/** How Java programs read what is typed in: by a Scanner or a reader of lines. */
export const javaInput: InputForms = {
  readsAhead: true,
  reads: [
    { form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*\w+\.next(?:Int|Long|Short|Byte)\s*\(/u, kind: "whole" },
    { form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*\w+\.next(?:Double|Float)\s*\(/u, kind: "decimal" },
    {
      form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*(?:Integer\.parseInt|Integer\.valueOf|Long\.parseLong)\s*\(\s*\w+\.(?:nextLine|next|readLine)\s*\(/u,
      kind: "whole",
    },
    {
      form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*(?:Double|Float)\.\w+\s*\(\s*\w+\.(?:nextLine|next|readLine)\s*\(/u,
      kind: "decimal",
    },
    {
      form: /(?<name>\w+)\.add\s*\(\s*(?:\w+\.next(?:Int|Long)\s*\(|Integer\.parseInt\s*\(\s*\w+\.(?:nextLine|readLine))/u,
      kind: "whole",
    },
    { form: /(?<name>\w+)\.add\s*\(\s*\w+\.nextDouble\s*\(/u, kind: "decimal" },
    { form: /(?<name>\w+)\.add\s*\(\s*\w+\.(?:nextLine|next|readLine)\s*\(/u, kind: "text" },
    { form: /(?<name>[\w.]+)(?:\s*\[[^\]]*\])?\s*=\s*\w+\.(?:nextLine|next|readLine)\s*\(/u, kind: "text" },
    { form: /\.next(?:Int|Long)\s*\(/u, kind: "whole" },
    { form: /\.nextDouble\s*\(/u, kind: "decimal" },
  ],
  conversions: [
    { form: /\b(?:Integer\.parseInt|Integer\.valueOf|Long\.parseLong)\s*\(\s*(?<name>\w+)/u, kind: "whole" },
    { form: /\b(?:Double|Float)\.\w+\s*\(\s*(?<name>\w+)/u, kind: "decimal" },
  ],
};
