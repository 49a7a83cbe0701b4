import { findLanguage } from "../core/languages/languages.ts";
import { editContext } from "../core/edits/context.ts";
import { marksNeverSet } from "../core/edits/prepared.ts";
const l = findLanguage("pascal")!;
const c = editContext(l, "var late: boolean;\n  day: integer;\nbegin\n  late := false;\n  for day := 1 to 9 do\n  begin\n    if not late then\n      writeln(day);\n  end;\nend.\n")!;
console.log(marksNeverSet(c).map((x) => [x.name, x.other]), c.nodes.filter((n) => n.node.sign === "late").map((n) => [n.node.role, n.around.at(-1)?.kind, n.around.at(-1)?.sign]));
