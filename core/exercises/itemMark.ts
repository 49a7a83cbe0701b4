/** One item of a mark scheme: what is asked for, what it earns, and the words for the teacher's copy. */
export type SchemeItem = { item: string; marks: number; words: string };

/** The marks for one item of one answer. `earned` null: it waits for the teacher, with `suggested`. */
export type ItemMark = { item: string; earned: number | null; possible: number; suggested?: number; reason: string };

/** A rule of marking that may be changed after a sheet was set, as a page shows it, with its value. */
export type ShownRule = { name: string; says: string; isYesOrNo: boolean; to: number; value: number };
