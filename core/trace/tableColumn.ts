/**
 * A column: a name in a frame kind. `key` is stable within one table; `title` is what stands over it (headings.ts says the rest). `className`: whose method
 * the function is. `of`: the key of the variable whose part it is.
 */
export type TableColumn = {
  key: string;
  title: string;
  scope: "global" | "function";
  functionName?: string;
  className?: string;
  of?: string;
};
