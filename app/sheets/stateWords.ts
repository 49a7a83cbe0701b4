/** The states of a sheet in words. */
export const stateWords = { draft: "draft", set: "set for students", closed: "closed" } as const;
