import type { PageAction } from "../../actions.ts";
import { accept } from "./accept.ts";
import type { CaseContext } from "./caseAction.ts";
import { dropCheck, keepCheck, verify } from "./checks.ts";
import { decide } from "./decide.ts";
import { anotherOutput, describe, note, warning, worked } from "./describe.ts";
import { describeFault } from "./describeFault.ts";
import { stopTrying, tryFurther } from "./further.ts";
import { goBack } from "./goBack.ts";
import { handTable } from "./handTable.ts";
import { intention } from "./intention.ts";
import { changeFix, keepAnother } from "./keptFixes.ts";
import { markLines } from "./markLines.ts";
import { mend } from "./mend.ts";
import { dropTry, tryProbes } from "./narrow.ts";
import { otherwise } from "./otherwise.ts";
import { addPart, dropPart, tryParts } from "./partPlan.ts";
import { putAway, takeBack } from "./putAway.ts";
import { runRelaid } from "./runRelaid.ts";
import { sayAdvice } from "./sayAdvice.ts";
import { sayFields } from "./sayFields.ts";
import { sayLanguage } from "./sayLanguage.ts";
import { sayPattern } from "./sayPattern.ts";
import { look, search, stopSearching, takeFix } from "./search.ts";
import { switchOn } from "./switchOn.ts";
import { undo } from "./undo.ts";
import { writtenFor } from "./writtenFor.ts";

/** Everything that the page of a case can be asked for. */
export const caseActions: ReadonlyArray<PageAction<CaseContext>> = [
  ...[accept, undo, decide, markLines, mend, goBack, intention, describeFault, sayFields, sayPattern, sayAdvice],
  ...[look, search, stopSearching, takeFix, keepAnother, changeFix, tryFurther, stopTrying],
  ...[keepCheck, dropCheck, verify],
  ...[describe, sayLanguage, writtenFor, note, worked, warning, anotherOutput, otherwise],
  ...[tryProbes, dropTry, addPart, dropPart, tryParts],
  ...[switchOn, putAway, takeBack, handTable, runRelaid],
];
