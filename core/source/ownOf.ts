/**
 * What a record holds under a key of its own. Names out of programs are looked up by it: every object of our own
 * language answers to some that nobody has put there (`constructor`, `valueOf`), and a student may well use one.
 */
export function ownOf<Value>(record: Readonly<Partial<Record<string, Value>>>, key: string): Value | undefined {
  return Object.hasOwn(record, key) ? record[key] : undefined;
}
