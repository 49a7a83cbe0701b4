import { textKind } from "../textKind.ts";

/** Say what a program is for. */
export const purpose = textKind({
  kind: "purpose",
  title: "What is it for?",
  asks: "What is the program for? Say what goes in and what comes out, not what each line does",
  lookFor: "what the program works out, from what, for whom; no reading aloud of its lines",
});
