/** The last day of the week that begins with a Monday, both as dates (2026-09-14). */
export function lastDayOf(monday: string): string {
  return new Date(Date.parse(monday) + 6 * 86_400_000).toISOString().slice(0, 10);
}
