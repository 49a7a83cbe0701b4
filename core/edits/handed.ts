import type { SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { scopesOf } from "./scopes.ts";

const [mostChoices, mostWays] = [3, 6];

/**
 * What a call may be handed at a place, by the names of the parameters that are wanted: what is called the same there, or else
 * what is declared alike. Each way is a list of names, one for each parameter; one way without names where nothing is wanted.
 */
export function waysToHand(
  context: EditContext,
  wanted: readonly string[],
  inside: readonly SyntaxNode[],
): readonly (readonly string[])[] {
  const { isKnownAt, areDeclaredAlike } = scopesOf(context);
  const known = context.names.filter((name) => isKnownAt(name, inside));
  return wanted.reduce<readonly (readonly string[])[]>(
    (ways, parameter) => {
      const choices = known.includes(parameter)
        ? [parameter]
        : known.filter((other) => areDeclaredAlike(parameter, other)).slice(0, mostChoices);
      return ways.flatMap((way) => choices.map((name) => [...way, name])).slice(0, mostWays);
    },
    [[]],
  );
}
