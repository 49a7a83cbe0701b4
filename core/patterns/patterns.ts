import { accumulatorStartWrong } from "./list/accumulatorStartWrong.ts";
import { addressSignMissing } from "./list/addressSignMissing.ts";
import { andOrMixedUp } from "./list/andOrMixedUp.ts";
import { andOrWithoutBrackets } from "./list/andOrWithoutBrackets.ts";
import { argumentCountWrong } from "./list/argumentCountWrong.ts";
import { argumentOutsideDomain } from "./list/argumentOutsideDomain.ts";
import { argumentsInWrongRoles } from "./list/argumentsInWrongRoles.ts";
import { argumentsSwapped } from "./list/argumentsSwapped.ts";
import { arithmeticOperatorWrong } from "./list/arithmeticOperatorWrong.ts";
import { assignmentForComparison } from "./list/assignmentForComparison.ts";
import { assignmentSignMissing } from "./list/assignmentSignMissing.ts";
import { baseValueWrong } from "./list/baseValueWrong.ts";
import { blockBodyMissing } from "./list/blockBodyMissing.ts";
import { braceMissingOrSurplus } from "./list/braceMissingOrSurplus.ts";
import { bracketKindsMixed } from "./list/bracketKindsMixed.ts";
import { bracketNotClosed } from "./list/bracketNotClosed.ts";
import { bufferTooSmall } from "./list/bufferTooSmall.ts";
import { callBracketsMissing } from "./list/callBracketsMissing.ts";
import { caseFallsThrough } from "./list/caseFallsThrough.ts";
import { colonMissing } from "./list/colonMissing.ts";
import { commaMissing } from "./list/commaMissing.ts";
import { comparisonForAssignment } from "./list/comparisonForAssignment.ts";
import { comparisonOperatorWrong } from "./list/comparisonOperatorWrong.ts";
import { comparisonTurned } from "./list/comparisonTurned.ts";
import { conditionAlwaysTrue } from "./list/conditionAlwaysTrue.ts";
import { convertedTwice } from "./list/convertedTwice.ts";
import { copiedLineNotAdapted } from "./list/copiedLineNotAdapted.ts";
import { decimalComparedExactly } from "./list/decimalComparedExactly.ts";
import { defaultShared } from "./list/defaultShared.ts";
import { dimensionWrong } from "./list/dimensionWrong.ts";
import { elseOfNearerIf } from "./list/elseOfNearerIf.ts";
import { emptyReferenceUsed } from "./list/emptyReferenceUsed.ts";
import { fileNotThere } from "./list/fileNotThere.ts";
import { flagNotSet } from "./list/flagNotSet.ts";
import { formatLetterWrong } from "./list/formatLetterWrong.ts";
import { formulaBracketsMissing } from "./list/formulaBracketsMissing.ts";
import { fractionIntoWholeNumber } from "./list/fractionIntoWholeNumber.ts";
import { globalMissing } from "./list/globalMissing.ts";
import { handlerCatchesTooMuch } from "./list/handlerCatchesTooMuch.ts";
import { handlerMissing } from "./list/handlerMissing.ts";
import { importNotNeeded } from "./list/importNotNeeded.ts";
import { indexLeftOut } from "./list/indexLeftOut.ts";
import { indexPastEnd } from "./list/indexPastEnd.ts";
import { inPlaceResultUsed } from "./list/inPlaceResultUsed.ts";
import { inputKeptAsText } from "./list/inputKeptAsText.ts";
import { keyNotThere } from "./list/keyNotThere.ts";
import { keywordMisspelt } from "./list/keywordMisspelt.ts";
import { laterIfOverrides } from "./list/laterIfOverrides.ts";
import { letterForMultiplication } from "./list/letterForMultiplication.ts";
import { libraryNameMisspelt } from "./list/libraryNameMisspelt.ts";
import { limitOffByOne } from "./list/limitOffByOne.ts";
import { lineAboveOutdented } from "./list/lineAboveOutdented.ts";
import { lineIndentedWrongly } from "./list/lineIndentedWrongly.ts";
import { listChangedWhileWalked } from "./list/listChangedWhileWalked.ts";
import { listSharedByAlias } from "./list/listSharedByAlias.ts";
import { literalZeroDivisor } from "./list/literalZeroDivisor.ts";
import { loopDirectionWrong } from "./list/loopDirectionWrong.ts";
import { loopMovesAway } from "./list/loopMovesAway.ts";
import { loopStartWrong } from "./list/loopStartWrong.ts";
import { loopTestsWrongVariable } from "./list/loopTestsWrongVariable.ts";
import { loopVariableNeverChanges } from "./list/loopVariableNeverChanges.ts";
import { memberMisspelt } from "./list/memberMisspelt.ts";
import { misspeltNameIsNew } from "./list/misspeltNameIsNew.ts";
import { nameLetterCase } from "./list/nameLetterCase.ts";
import { nameNeverDefined } from "./list/nameNeverDefined.ts";
import { namePrintedAsText } from "./list/namePrintedAsText.ts";
import { newlineLeftInInput } from "./list/newlineLeftInInput.ts";
import { numberTypeTooSmall } from "./list/numberTypeTooSmall.ts";
import { operandMissing } from "./list/operandMissing.ts";
import { operatorAtLineEnd } from "./list/operatorAtLineEnd.ts";
import { otherLanguageWord } from "./list/otherLanguageWord.ts";
import { outputNotSuppressed } from "./list/outputNotSuppressed.ts";
import { ownNameMisspelt } from "./list/ownNameMisspelt.ts";
import { quoteNotClosed } from "./list/quoteNotClosed.ts";
import { rangeTestOnText } from "./list/rangeTestOnText.ts";
import { readBeforeSet } from "./list/readBeforeSet.ts";
import { recursionWithoutEnd } from "./list/recursionWithoutEnd.ts";
import { referencePerhapsEmpty } from "./list/referencePerhapsEmpty.ts";
import { restartInsideLoop } from "./list/restartInsideLoop.ts";
import { restartMissing } from "./list/restartMissing.ts";
import { resultThrownAway } from "./list/resultThrownAway.ts";
import { returnedValuesSwapped } from "./list/returnedValuesSwapped.ts";
import { returnInsideLoop } from "./list/returnInsideLoop.ts";
import { returnMissing } from "./list/returnMissing.ts";
import { semicolonAfterHeader } from "./list/semicolonAfterHeader.ts";
import { semicolonBeforeElse } from "./list/semicolonBeforeElse.ts";
import { shapesDoNotFit } from "./list/shapesDoNotFit.ts";
import { sliceOffByOne } from "./list/sliceOffByOne.ts";
import { sortedWrongWay } from "./list/sortedWrongWay.ts";
import { statementOutsideBlock } from "./list/statementOutsideBlock.ts";
import { statementWronglyInsideBlock } from "./list/statementWronglyInsideBlock.ts";
import { stepMissing } from "./list/stepMissing.ts";
import { stepsInWrongOrder } from "./list/stepsInWrongOrder.ts";
import { stopsOnPurpose } from "./list/stopsOnPurpose.ts";
import { storedPositionStale } from "./list/storedPositionStale.ts";
import { sumJoinedToText } from "./list/sumJoinedToText.ts";
import { surroundingsFailed } from "./list/surroundingsFailed.ts";
import { terminatorMissing } from "./list/terminatorMissing.ts";
import { textAndNumberMixed } from "./list/textAndNumberMixed.ts";
import { textComparedByIdentity } from "./list/textComparedByIdentity.ts";
import { textMisspelt } from "./list/textMisspelt.ts";
import { textNotANumber } from "./list/textNotANumber.ts";
import { valueParameterChanged } from "./list/valueParameterChanged.ts";
import { variableShadowed } from "./list/variableShadowed.ts";
import { variableUndeclared } from "./list/variableUndeclared.ts";
import { warningHidden } from "./list/warningHidden.ts";
import { wholeNumberDivision } from "./list/wholeNumberDivision.ts";
import { wrongLoopVariable } from "./list/wrongLoopVariable.ts";
import { zeroDivisor } from "./list/zeroDivisor.ts";
import type { Pattern } from "./pattern.ts";

/** Every kind of mistake that is known here; a new one is one file and one line here. */
export const patterns: readonly Pattern[] = [
  bracketNotClosed,
  braceMissingOrSurplus,
  bracketKindsMixed,
  quoteNotClosed,
  colonMissing,
  terminatorMissing,
  operatorAtLineEnd,
  operandMissing,
  comparisonForAssignment,
  letterForMultiplication,
  callBracketsMissing,
  assignmentSignMissing,
  lineIndentedWrongly,
  lineAboveOutdented,
  blockBodyMissing,
  keywordMisspelt,
  libraryNameMisspelt,
  variableUndeclared,
  readBeforeSet,
  literalZeroDivisor,
  nameLetterCase,
  nameNeverDefined,
  argumentCountWrong,
  textAndNumberMixed,
  textNotANumber,
  zeroDivisor,
  argumentOutsideDomain,
  indexLeftOut,
  indexPastEnd,
  emptyReferenceUsed,
  recursionWithoutEnd,
  fileNotThere,
  surroundingsFailed,
  memberMisspelt,
  addressSignMissing,
  stopsOnPurpose,
  handlerCatchesTooMuch,
  inputKeptAsText,
  sumJoinedToText,
  arithmeticOperatorWrong,
  comparisonOperatorWrong,
  limitOffByOne,
  comparisonTurned,
  sortedWrongWay,
  andOrMixedUp,
  rangeTestOnText,
  formulaBracketsMissing,
  namePrintedAsText,
  copiedLineNotAdapted,
  argumentsInWrongRoles,
  stepsInWrongOrder,
  storedPositionStale,
  loopVariableNeverChanges,
  loopMovesAway,
  loopStartWrong,
  loopTestsWrongVariable,
  baseValueWrong,
  flagNotSet,
  misspeltNameIsNew,
  statementOutsideBlock,
  elseOfNearerIf,
  newlineLeftInInput,
  formatLetterWrong,
  andOrWithoutBrackets,
  stepMissing,
  textMisspelt,
  outputNotSuppressed,
  importNotNeeded,
  referencePerhapsEmpty,
  convertedTwice,
  warningHidden,
  listSharedByAlias,
  listChangedWhileWalked,
  wholeNumberDivision,
  variableShadowed,
  returnInsideLoop,
  returnMissing,
  restartInsideLoop,
  wrongLoopVariable,
  textComparedByIdentity,
  argumentsSwapped,
  decimalComparedExactly,
  defaultShared,
  sliceOffByOne,
  resultThrownAway,
  semicolonAfterHeader,
  valueParameterChanged,
  accumulatorStartWrong,
  conditionAlwaysTrue,
  caseFallsThrough,
  bufferTooSmall,
  assignmentForComparison,
  keyNotThere,
  fractionIntoWholeNumber,
  semicolonBeforeElse,
  numberTypeTooSmall,
  commaMissing,
  handlerMissing,
  laterIfOverrides,
  returnedValuesSwapped,
  ownNameMisspelt,
  otherLanguageWord,
  inPlaceResultUsed,
  globalMissing,
  restartMissing,
  statementWronglyInsideBlock,
  loopDirectionWrong,
  shapesDoNotFit,
  dimensionWrong,
];

/** The pattern of an id. */
export function findPattern(id: string): Pattern | undefined {
  return patterns.find((pattern) => pattern.id === id);
}
