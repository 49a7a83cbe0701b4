/** Where what a course chose is said: beside messages, beside mending, on what students are given. */
export type ChoicePlace = "messages" | "mending" | "students";

/**
 * A matter on which courses differ: what each stands for is said to teacher and students, and never stored as a class. `says` is for students; `limits`
 * is what is to be known beside it.
 */
export type CourseChoice = {
  id: string;
  asks: string;
  places: readonly ChoicePlace[];
  options: ReadonlyArray<{ value: string; words: string; says: string }>;
  limits?: string;
};

/** Every choice; a new one is one entry here. The first option of each holds where nothing was chosen, and says nothing. */
export const courseChoices: readonly CourseChoice[] = [
  {
    id: "messages",
    asks: "Of many messages, show",
    places: ["messages", "students"],
    options: [
      { value: "all", words: "all of them", says: "" },
      {
        value: "one",
        words: "the one to work on",
        says: "Work on the first message alone; the others may follow from it.",
      },
    ],
  },
  {
    id: "line",
    asks: "The rule for the line that a message names",
    places: ["messages", "students"],
    options: [
      { value: "", words: "none is taught", says: "" },
      {
        value: "may be above",
        words: "the slip may be above it",
        says: "The slip may be above the line that the message names.",
      },
      {
        value: "at or above",
        words: "on that line or above it",
        says: "Look at the line that the message names, then upwards.",
      },
      {
        value: "just above",
        words: "mostly the line just above",
        says: "Look at the line just above the one that the message names.",
      },
      {
        value: "near the beginning",
        words: "sometimes near the beginning",
        says: "The slip may stand far from the line that the message names, also near the beginning.",
      },
    ],
    limits:
      "No such rule holds always: a list that is never closed is named where it was opened, a stop may come from a caller further down, and a missing closing brace shows at the end of the file.",
  },
  {
    id: "logic crash",
    asks: "May a logic error crash a program?",
    places: ["students"],
    options: [
      { value: "", words: "not said", says: "" },
      {
        value: "yes",
        words: "yes, it may lead to a crash",
        says: "A logic error may lead to a crash: why it went wrong and how it shows are two things.",
      },
      {
        value: "no",
        words: "no, the program keeps running",
        says: "A program with a logic error keeps running and gives a wrong result.",
      },
    ],
    limits: "Bent Nail keeps both: how a fault shows is its class, where it comes from its cause.",
  },
  {
    id: "handlers",
    asks: "Catching failures in an answer",
    places: ["mending", "students"],
    options: [
      { value: "", words: "not said", says: "" },
      {
        value: "welcome",
        words: "is welcome where input, files or networks can fail",
        says: "Catch failures of input, files and networks.",
      },
      { value: "not", words: "is not asked for: mend the fault", says: "Mend the fault; do not catch it." },
      { value: "beyond", words: "is beyond this course", says: "Catching failures comes later: mend the fault." },
    ],
    limits: "A handler that catches everything also catches slips of the program itself.",
  },
  {
    id: "first",
    asks: "What comes first",
    places: ["students"],
    options: [
      { value: "", words: "not said", says: "" },
      { value: "run", words: "run it, then print and look", says: "Run it, print what you want to know, and look." },
      { value: "debugger", words: "step through it", says: "Step through it and watch the values." },
      { value: "paper", words: "a trace on paper", says: "Trace it on paper before you run it." },
    ],
  },
  {
    id: "braces",
    asks: "Marks around a single statement",
    places: ["mending", "students"],
    options: [
      { value: "", words: "not said", says: "" },
      { value: "always", words: "always", says: "Mark every block, also around one statement." },
      {
        value: "needed",
        words: "only where they are needed",
        says: "Mark a block where it has more than one statement.",
      },
    ],
  },
  {
    id: "others",
    asks: "Code of somebody else",
    places: ["mending", "students"],
    options: [
      { value: "", words: "not said", says: "" },
      {
        value: "leave",
        words: "is left as it is, but for the fault",
        says: "Change only what is wrong, and leave the rest as it is.",
      },
      { value: "restructure", words: "may be written anew", says: "You may write it anew if it is clearer then." },
    ],
  },
  {
    id: "warnings",
    asks: "Warnings",
    places: ["messages", "students"],
    options: [
      { value: "", words: "not said", says: "" },
      { value: "fix", words: "are mended", says: "Mend warnings as well." },
      { value: "leave", words: "may stay", says: "Warnings may stay if the program does what it should." },
      {
        value: "note",
        words: "may be switched off, with a note",
        says: "A warning may be switched off where a note says why.",
      },
    ],
  },
];

/** A term that courses have their own words for; `usual` is ours, `also` what others call it. */
export type CourseTerm = { id: string; usual: string; means: string; also: readonly string[] };

/** Terms with other names elsewhere. The first three are names of classes and stand wherever one is named. */
export const courseTerms: readonly CourseTerm[] = [
  {
    id: "syntax",
    usual: "syntax error",
    means: "the translator refuses the program before any line runs",
    also: ["syntactic error", "grammatical error", "compile-time error", "parsing error"],
  },
  {
    id: "runtime",
    usual: "runtime error",
    means: "the program stops while it runs",
    also: ["exception", "execution error", "crash", "abnormal termination"],
  },
  {
    id: "logic",
    usual: "logic error",
    means: "the program runs and its result is not the intended one",
    also: ["logical error", "semantic error", "bug", "human error"],
  },
  {
    id: "meaning",
    usual: "refused, but not for its grammar",
    means: "a name or type does not fit and the translator says so",
    also: ["compile-time error", "semantic error"],
  },
  {
    id: "exception",
    usual: "exception",
    means: "an error as an object that can be caught",
    also: ["runtime error", "every error that is not one of syntax"],
  },
  {
    id: "unset",
    usual: "variable read before it is set",
    means: "a variable is used before it has a value",
    also: ["unset variable", "uninitialised variable", "unassigned variable"],
  },
  { id: "bug", usual: "fault", means: "what is wrong in a program", also: ["bug", "defect", "error"] },
  {
    id: "debugging",
    usual: "debugging",
    means: "finding out what is so and what is not, until the fault is mended",
    also: ["fixing errors", "finding flaws in one's reasoning"],
  },
  { id: "breakpoint", usual: "breakpoint", means: "a line at which a dry run stops", also: ["break", "stop", "pause"] },
  {
    id: "dry run",
    usual: "dry run",
    means: "going through a program line by line",
    also: ["desk check", "trace", "stepping by hand"],
  },
  {
    id: "endless",
    usual: "a loop without end",
    means: "a loop whose condition never fails",
    also: ["infinite loop", "endless loop"],
  },
];

/** What a course chose and what it says for terms; a value that is not known says nothing. */
export type Chosen = { terms: Readonly<Record<string, string>>; choices: Readonly<Record<string, string>> };

/** What is said at a place of what a course chose, in the order of the choices. */
export function saidAt(
  place: ChoicePlace,
  { choices }: Pick<Chosen, "choices">,
): Array<{ id: string; says: string; limits?: string }> {
  return courseChoices.flatMap(({ id, places, options, limits }) => {
    const says = options.find(({ value }) => value === choices[id])?.says ?? "";
    return says === "" || !places.includes(place) ? [] : [{ id, says, ...(limits ? { limits } : {}) }];
  });
}
