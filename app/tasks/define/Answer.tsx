import type { DefineAnswer } from "../../../core/exercises/tasks/define.ts";

/** Both parts of the definition in the student's words. */
export function Answer({ compared }: { compared: DefineAnswer }) {
  return (
    <>
      <p className="whitespace-pre-wrap">It is: {compared.what ? `“${compared.what}”` : "nothing written"}</p>
      <p className="whitespace-pre-wrap">Its effect: {compared.effect ? `“${compared.effect}”` : "nothing written"}</p>
    </>
  );
}
