import type { OwnWarning, OwnWarningRule } from "../languages/language.ts";
import { ownOf } from "../source/ownOf.ts";

/** Packages that an editor offers and that a first program hardly ever means. */
const seldomMeant =
  /^(?:com\.sun|sun|jdk\.internal|org\.w3c|org\.xml|org\.omg|javax\.lang|javax\.print|javax\.naming)\./;
/** Names of which another package's are nearly always meant. */
const usuallyFrom: Readonly<Record<string, string>> = {
  "java.awt.List": "java.util.List",
  "java.sql.Date": "java.util.Date",
  "java.lang.reflect.Array": "java.util.Arrays",
};

/** Imports of Java that nothing uses, and those that an editor seems to have put in by itself. */
export const imports: OwnWarningRule = ({ code }) =>
  code.flatMap((token, at): OwnWarning[] => {
    if (token.text !== "import" || code[at + 1]?.text === "static") return [];
    const end = code.findIndex((each, index) => index > at && each.text === ";");
    const words = code.slice(at + 1, end);
    const name = words.at(-1)?.text ?? "";
    const path = words.map((each) => each.text).join("");
    if (end < 0 || name === "*" || words.some((each) => each.line !== token.line)) return [];
    const instead = ownOf(usuallyFrom, path);
    if (instead || seldomMeant.test(path))
      return [
        {
          line: token.line,
          kind: "import not meant",
          says: `“${path}” is imported, which is hardly ever meant${instead ? `: usually it is ${instead}` : ""}.`,
          usually: "An editor put it in when it offered several classes of that name.",
        },
      ];
    const used = code.some((each, index) => (index < at || index > end) && each.kind === "name" && each.text === name);
    if (used) return [];
    return [
      {
        ...{ line: token.line, kind: "unused", says: `“${name}” is imported and never used.`, style: true },
        usually: "It is a rest of an earlier version, or an editor put it in.",
      },
    ];
  });
