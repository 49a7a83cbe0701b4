import * as z from "zod";
import { acceptProposal } from "../../../server/mend/acceptProposal.ts";
import { done, notReached, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Accepts what is proposed: the class, the line and, where one was found, the change. */
export const accept = defineCaseAction({
  intent: "accept",
  says: "accepting the proposal",
  fields: {
    class: field.one(["syntax", "runtime", "logic"]),
    kind: field.one(["form", "meaning", ""]).optional(),
    lines: field.json(z.array(z.number().int().positive()).max(100)),
    fix: field.text(),
  },
  does: async ({ services, found }, change, fields) => {
    const { class: chosen, kind, lines, fix } = fields;
    const proposal = { class: chosen, kind: kind || null, lines, fix: fix === "" ? null : fix };
    const accepted = await acceptProposal(services, found, change, proposal);
    if (!accepted.ok) return refused(accepted);
    const { tried } = accepted;
    if (tried === null) return done("Accepted: class and line.");
    if (!tried.ok) return refused(tried);
    if (tried.result === "verified") return done("Accepted. All checks pass once more: the fix is verified.");
    return tried.result === "next fault" || tried.result === "open"
      ? done("Accepted. The gate that failed passes now; what is still open is the next layer.")
      : notReached(
          "The class and the line are kept. Run once more, the change does not pass: it is kept under Versions.",
        );
  },
});
