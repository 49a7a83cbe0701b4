import type { Edit, EditContext, EditFamily } from "./edit.ts";
import { accumulation } from "./families/accumulation.ts";
import { addressSign } from "./families/addressSign.ts";
import { alongFamily } from "./families/along.ts";
import { argumentLeftOut } from "./families/argumentLeftOut.ts";
import { arithmetic } from "./families/arithmetic.ts";
import { begunAnew } from "./families/begunAnew.ts";
import { blockEnd } from "./families/blockEnd.ts";
import { blockMarks } from "./families/blockMarks.ts";
import { bracket } from "./families/bracket.ts";
import { branchOrder } from "./families/branchOrder.ts";
import { byOneFamily } from "./families/byOne.ts";
import { callBrackets } from "./families/callBrackets.ts";
import { callLeftOut } from "./families/callLeftOut.ts";
import { chain } from "./families/chain.ts";
import { colon } from "./families/colon.ts";
import { comparison } from "./families/comparison.ts";
import { comparisonLeftOut } from "./families/comparisonLeftOut.ts";
import { constant } from "./families/constant.ts";
import { conversion } from "./families/conversion.ts";
import { copied } from "./families/copied.ts";
import { counterpart } from "./families/counterpart.ts";
import { declarationFamily } from "./families/declaration.ts";
import { direction } from "./families/direction.ts";
import { emptyBody } from "./families/emptyBody.ts";
import { emptyTest } from "./families/emptyTest.ts";
import { equalitySign } from "./families/equalitySign.ts";
import { equalTextsFamily } from "./families/equalTexts.ts";
import { extraStatement } from "./families/extraStatement.ts";
import { factorLeftOut } from "./families/factorLeftOut.ts";
import { filledIn } from "./families/filledIn.ts";
import { firstValue } from "./families/firstValue.ts";
import { formatLetter } from "./families/formatLetter.ts";
import { formulaBrackets } from "./families/formulaBrackets.ts";
import { guardLeftOut } from "./families/guardLeftOut.ts";
import { handledError } from "./families/handledError.ts";
import { inclusion } from "./families/inclusion.ts";
import { indentationFamily } from "./families/indentation.ts";
import { indexLeftOutFamily } from "./families/indexLeftOut.ts";
import { leaving } from "./families/leaving.ts";
import { lineLeft } from "./families/lineLeft.ts";
import { logicWord } from "./families/logicWord.ts";
import { loopChange } from "./families/loopChange.ts";
import { moved } from "./families/moved.ts";
import { nameFamily } from "./families/name.ts";
import { otherBlocks } from "./families/otherBlocks.ts";
import { otherForms } from "./families/otherForms.ts";
import { otherName } from "./families/otherName.ts";
import { ownObjectFamily } from "./families/ownObject.ts";
import { pointedAt } from "./families/pointedAt.ts";
import { printing } from "./families/printing.ts";
import { quote } from "./families/quote.ts";
import { resultThrownAway } from "./families/resultThrownAway.ts";
import { resultType } from "./families/resultType.ts";
import { returned } from "./families/returned.ts";
import { scopeWord } from "./families/scopeWord.ts";
import { separator } from "./families/separator.ts";
import { sign } from "./families/sign.ts";
import { sortOrder } from "./families/sortOrder.ts";
import { startValue } from "./families/startValue.ts";
import { stepLeftOut } from "./families/stepLeftOut.ts";
import { swapped } from "./families/swapped.ts";
import { terminator } from "./families/terminator.ts";
import { textLiteral } from "./families/textLiteral.ts";
import { textOrNumber } from "./families/textOrNumber.ts";
import { textsBeside } from "./families/textsBeside.ts";
import { tolerance } from "./families/tolerance.ts";
import { word } from "./families/word.ts";
import { wrapped } from "./families/wrapped.ts";

/** Every family of small edits; a new one is one file and one line here. */
export const editFamilies: readonly EditFamily[] = [
  ...[terminator, colon, bracket, quote, word, sign, blockEnd, indentationFamily, nameFamily],
  ...[declarationFamily, inclusion, firstValue, callBrackets, argumentLeftOut, textOrNumber, addressSign],
  ...[
    comparison,
    tolerance,
    equalitySign,
    comparisonLeftOut,
    logicWord,
    arithmetic,
    formulaBrackets,
    constant,
    byOneFamily,
  ],
  ...[otherName, swapped, accumulation, begunAnew, startValue, direction, loopChange, moved, blockMarks, emptyBody],
  ...[indexLeftOutFamily, branchOrder, filledIn, alongFamily, pointedAt, wrapped, resultType, separator, emptyTest],
  ...[guardLeftOut, handledError],
  ...[textsBeside, callLeftOut, counterpart, sortOrder, factorLeftOut],
  ...[chain, conversion, returned, formatLetter, leaving, resultThrownAway, equalTextsFamily, copied],
  ...[scopeWord, ownObjectFamily, stepLeftOut, printing, textLiteral, lineLeft, extraStatement],
  ...[otherBlocks, otherForms],
];

/** The family of an id. */
export function findFamily(id: string): EditFamily | undefined {
  return editFamilies.find((family) => family.id === id);
}

/** Which edits are asked for: those that may undo a slip, or those that make one; of a text that is refused or one that starts. */
export type Way = "mend a refusal" | "mend" | "plant";

/** Changes of one program that are proposed at most; of more the likeliest. */
const mostEdits = 20_000;

/** Every edit of a program that the families propose, each change once (by the family that thinks it likeliest). */
export function proposeEdits(context: EditContext, way: Way): Edit[] {
  const found = new Map<string, Edit & { worth: number }>();
  // A program whose form is right is refused for a meaning: a type, a result that is not given back.
  const whole = context.nodes.every(({ node }) => node.kind !== "error");
  for (const family of editFamilies) {
    if (way === "mend a refusal" && family.reads === "tree" && !whole) continue;
    if (way === "mend" && family.reads === "text") continue;
    for (const proposal of way === "plant" ? family.plants(context) : family.mends(context)) {
      if (context.text.slice(proposal.from, proposal.to) === proposal.text || proposal.odds <= 0) continue;
      const key = `${proposal.from} ${proposal.to} ${proposal.text}`;
      const worth = proposal.odds * family.weight;
      const known = found.get(key);
      if (!known || known.worth < worth) found.set(key, { family: family.id, ...proposal, worth });
    }
  }
  const all = [...found.values()];
  const kept = all.length > mostEdits ? all.sort((one, other) => other.worth - one.worth).slice(0, mostEdits) : all;
  return kept.map(({ worth: _, ...edit }) => edit);
}
