import { basicForms } from "../basicForms/basicForms.ts";
import { type Language, messageReading } from "../language.ts";
import { macroExplanations, typedBasicExplanations } from "./meanings.ts";
import { isBasicSummary, macroBasic, typedBasic } from "./messages.ts";

/** Basic of cases that were taken in when macros and programs with forms were one language: each asks once which it is. */
export const formerBasic: Language = {
  ...basicForms,
  ...{ id: "basic", name: "Basic of either kind", extension: ".vb", mainName: "Module1.vb" },
  ...messageReading([typedBasic, macroBasic], "first refusal", isBasicSummary),
  explanations: [...typedBasicExplanations.slice(0, -1), ...macroExplanations, ...typedBasicExplanations],
  askedAs: ["basic-macro", "basic-forms"],
  signs: [],
};
