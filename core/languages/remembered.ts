/** Texts whose readings are kept. */
const most = 6;

/**
 * A reading of a text that is kept for the last few texts: a page asks for the tokens and the tree of one program many times.
 * What it gives is shared, so nobody may change it.
 */
export function remembered<Reading>(read: (text: string) => Reading): (text: string) => Reading {
  const kept: Array<{ text: string; reading: Reading }> = [];
  return (text) => {
    const at = kept.findIndex((each) => each.text === text);
    const found = at < 0 ? { text, reading: read(text) } : kept.splice(at, 1)[0];
    if (!found) return read(text);
    kept.unshift(found);
    if (kept.length > most) kept.pop();
    return found.reading;
  };
}
