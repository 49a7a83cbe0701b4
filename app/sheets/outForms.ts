/** The files as which a sheet goes out, by the end of their addresses. */
export const outForms = [
  { name: "sheet.md", words: "Markdown, for students" },
  { name: "answers.md", words: "Markdown, with the answers" },
  { name: "sheet-qti.zip", words: "QTI 3.0 package (not-said.txt in it lists what QTI cannot say)" },
  { name: "sheet.json", words: "A file that another Bent Nail takes in" },
] as const;
