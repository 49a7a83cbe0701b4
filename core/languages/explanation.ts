import type { MessageKind, WordRole } from "../reading/kinds.ts";

/**
 * What a message means. `pattern` is matched against "name of the error: words" (the code stands for the name where
 * there is none); the first that fits counts. $1 and so on stand for what it caught, and `words` says what each of them
 * is. Nothing here may claim more than the tool's documentation says of the message.
 */
export type Explanation = {
  pattern: RegExp;
  /**
   * Holds only where the line that the message names is like this; where the line is not known, it does not hold. %1 and
   * so on stand for what it caught; a group named `same` must have caught $1, in any letter case.
   */
  line?: RegExp;
  kind: MessageKind;
  words?: readonly WordRole[];
  /** What the message says, in one plain sentence. */
  says: string;
  /** Where it usually comes from. For a warning: the risk. */
  usually?: string;
  /** What it does not say. */
  unsaid?: string;
  /** Known to mislead: how its advice or its place goes wrong. */
  misleads?: string;
};
