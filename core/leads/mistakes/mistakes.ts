import { addedToNothing } from "./addedToNothing.ts";
import { answerOfTexts } from "./answerOfTexts.ts";
import { argumentsCrossed } from "./argumentsCrossed.ts";
import { assignmentAsCondition } from "./assignmentAsCondition.ts";
import { behindTheEnd } from "./behindTheEnd.ts";
import { bestMixed } from "./bestMixed.ts";
import { branchCovered } from "./branchCovered.ts";
import { callsItselfAlways } from "./callsItselfAlways.ts";
import { caseGoesOn } from "./caseGoesOn.ts";
import { comparisonWithNothing } from "./comparisonWithNothing.ts";
import { copyChanged } from "./copyChanged.ts";
import { counterBehindLoop } from "./counterBehindLoop.ts";
import { countNeverMoves } from "./countNeverMoves.ts";
import { countStays } from "./countStays.ts";
import { decimalsEqual } from "./decimalsEqual.ts";
import { defaultShared } from "./defaultShared.ts";
import { elementCopied } from "./elementCopied.ts";
import { elementForPlace } from "./elementForPlace.ts";
import { elseIfApart } from "./elseIfApart.ts";
import { exchangeLost } from "./exchangeLost.ts";
import { fieldLeft } from "./fieldLeft.ts";
import { givenToItself } from "./givenToItself.ts";
import { handlerForAll } from "./handlerForAll.ts";
import { headerEnded } from "./headerEnded.ts";
import { indentedApart } from "./indentedApart.ts";
import { inputKeptAsText } from "./inputKeptAsText.ts";
import { labelInSwitch } from "./labelInSwitch.ts";
import { linkedToItself } from "./linkedToItself.ts";
import { listChangedWhileWalked } from "./listChangedWhileWalked.ts";
import { listRepeated } from "./listRepeated.ts";
import { listStaysEmpty } from "./listStaysEmpty.ts";
import { loopCountsAway } from "./loopCountsAway.ts";
import { loopLimit } from "./loopLimit.ts";
import { loopMovesAway } from "./loopMovesAway.ts";
import { loopNeverEntered } from "./loopNeverEntered.ts";
import { loopVariable } from "./loopVariable.ts";
import { markNeverSet } from "./markNeverSet.ts";
import type { Mistake } from "./mistake.ts";
import { movedAway } from "./movedAway.ts";
import { nameAlmostNew } from "./nameAlmostNew.ts";
import { nameAsText } from "./nameAsText.ts";
import { neverCalled } from "./neverCalled.ts";
import { neverRead } from "./neverRead.ts";
import { newlineLeft } from "./newlineLeft.ts";
import { noAddress } from "./noAddress.ts";
import { nothingGivenBack } from "./nothingGivenBack.ts";
import { nothingMoves } from "./nothingMoves.ts";
import { oldValueKept } from "./oldValueKept.ts";
import { ownObjectLeftOut } from "./ownObjectLeftOut.ts";
import { positionStale } from "./positionStale.ts";
import { productOfZero } from "./productOfZero.ts";
import { readInBranch } from "./readInBranch.ts";
import { readMisspelt } from "./readMisspelt.ts";
import { restartInLoop } from "./restartInLoop.ts";
import { resultUnused } from "./resultUnused.ts";
import { returnInLoop } from "./returnInLoop.ts";
import { sameAsAbove } from "./sameAsAbove.ts";
import { secondVariable } from "./secondVariable.ts";
import { siblingWithout } from "./siblingWithout.ts";
import { sumBeforeDivision } from "./sumBeforeDivision.ts";
import { sumJoined } from "./sumJoined.ts";
import { textByIdentity } from "./textByIdentity.ts";
import { textsAsOne } from "./textsAsOne.ts";
import { wholeDivision } from "./wholeDivision.ts";

/** Those that show in a program that is refused as well, and make another text of it before it is translated. */
export const inRefused: readonly Mistake[] = [headerEnded, givenToItself];

/** Kinds of mistake that show in the text; a new one is one file and one line here. */
export const mistakes: readonly Mistake[] = [
  ...[
    copyChanged,
    elementCopied,
    defaultShared,
    secondVariable,
    elementForPlace,
    listRepeated,
    ownObjectLeftOut,
    givenToItself,
  ],
  ...[
    indentedApart,
    answerOfTexts,
    fieldLeft,
    siblingWithout,
    readMisspelt,
    textsAsOne,
    countStays,
    listStaysEmpty,
    addedToNothing,
  ],
  ...[exchangeLost, behindTheEnd, bestMixed, counterBehindLoop, branchCovered, elseIfApart, labelInSwitch, movedAway],
  ...[
    argumentsCrossed,
    decimalsEqual,
    linkedToItself,
    loopNeverEntered,
    nameAsText,
    positionStale,
    productOfZero,
    readInBranch,
    sameAsAbove,
  ],
  ...[countNeverMoves, markNeverSet, neverCalled, neverRead],
  ...[
    assignmentAsCondition,
    callsItselfAlways,
    caseGoesOn,
    handlerForAll,
    comparisonWithNothing,
    headerEnded,
    inputKeptAsText,
    listChangedWhileWalked,
  ],
  ...[
    loopCountsAway,
    loopLimit,
    loopMovesAway,
    loopVariable,
    nameAlmostNew,
    newlineLeft,
    noAddress,
    nothingGivenBack,
    nothingMoves,
    oldValueKept,
  ],
  ...[restartInLoop, resultUnused, returnInLoop, sumBeforeDivision, sumJoined, textByIdentity, wholeDivision],
];
