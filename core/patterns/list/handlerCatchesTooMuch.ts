import type { Pattern } from "../pattern.ts";

/** A handler takes every error, so that a fault of the program is hidden. */
export const handlerCatchesTooMuch: Pattern = {
  id: "handler-catches-too-much",
  name: "A handler that catches too much",
  says: "A handler takes every error, so that a fault of the program is hidden.",
  mends: "Catch only what is expected.",
  fault: true,
  grounds: [],
};
