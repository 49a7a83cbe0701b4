import { type ExerciseContent, totalMarks } from "../../core/exercises/exercise.ts";
import { hintsName, hintsOf, type TakenHints, takenHints } from "../../core/exercises/hints.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { actionsIn } from "../../core/languages/language.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { findWording, inCourseWords } from "../../core/wording/wordings.ts";
import { contentByRules } from "../marks/byRules.ts";
import { earnedInAll, listMarks, type Mark } from "../marks/markStore.ts";
import { listSchemeRules } from "../marks/schemeRuleStore.ts";
import { ownPythonFiles } from "../ownPython/ownPython.ts";
import type { Services } from "../services.ts";
import { listEditions } from "../sheets/sheetStore.ts";
import { type OpenSitting, standingOf, triedNote } from "../sittings/access.ts";
import { placeOf, receiptOf } from "../sittings/receipt.ts";
import { listAnswers, listSittingsOn } from "../sittings/sittingStore.ts";
import { inOrderOf } from "./markedSitting.ts";

/** How what the user of a program does is written in its language, where that is what is typed in; else null. */
function actionsOf(language: string, program: string): { label: string; note: string } | null {
  const found = findLanguage(language);
  const actions = found ? actionsIn(found, program) : null;
  return actions ? { label: actions.label, note: actions.note } : null;
}

/** The hints of an exercise that a student has taken, and how many are left at which cost; none of them where there are no hints. */
function hintsFor(content: ExerciseContent, taken: TakenHints, cost: number | null, inWords: (text: string) => string) {
  const hints = hintsOf(content);
  return {
    taken: hints.slice(0, taken.costs.length).map(inWords),
    cost: taken.costs.reduce((sum, each) => sum + each, 0),
    left: cost === null ? 0 : Math.max(0, hints.length - taken.costs.length),
    each: cost ?? 0,
  };
}

const totalsOf = (marks: readonly Mark[]) => ({
  earned: earnedInAll(marks),
  hintsCost: marks
    .filter(({ task }) => task.startsWith(hintsName("")))
    .reduce((sum, { earned }) => sum - (earned ?? 0), 0),
});

/**
 * All that a student's page holds: programs, tasks without their answers, what the student wrote, and after release the
 * student's own marks. Nothing else of the exercise is in it.
 */
export async function studentView(services: Pick<Services, "database">, { sheet, sitting, edition }: OpenSitting) {
  const [answers, editions, sittings, changed] = await Promise.all([
    listAnswers(services.database, sitting.key),
    listEditions(services.database, sheet.key),
    listSittingsOn(services.database, sheet.key, sitting.student),
    listSchemeRules(services.database, edition.key),
  ]);
  const own = editions.find((each) => each.key === edition.key);
  const practice = sheet.rules.mode === "practice";
  const released = (practice || (own?.released_at ?? null) !== null) && sitting.handed_in_at !== null;
  const marks = released ? await listMarks(services.database, [sitting.key]) : [];
  const standing = standingOf({ sheet, sitting }, Date.now());
  const newest = sittings.findLast((each) => each.edition === edition.key);
  const contents = new Map(answers.map((answer) => [answer.task, answer.content]));
  const inWords = (text: string) => inCourseWords(findWording(sheet.wording), text);
  return {
    title: edition.content.title,
    edition: edition.number,
    /** Other editions that the student has sat, and the newest one if it can be begun now. */
    others: editions.flatMap(({ key, number }, index) => {
      if (key === edition.key) return [];
      const sat = sittings.findLast((each) => each.edition === key);
      const opens = sat !== undefined || (index === editions.length - 1 && sheet.state === "set");
      return opens ? [{ number, state: sat ? (sat.handed_in_at ? "handed in" : "begun") : "not begun" }] : [];
    }),
    label: sitting.label,
    /** Names the sitting to this browser without opening it to anybody. */
    place: placeOf(sitting.key),
    rules: sheet.rules,
    word: sheet.word,
    standing,
    closed: !standing.open && !standing.handedIn,
    handedIn: standing.handedIn,
    receipt: receiptOf(sitting),
    /** Whether marks are still being worked out. */
    beingMarked:
      released && marks.length === 0 && edition.content.exercises.some(({ content }) => content.tasks.length > 0),
    attempt: sitting.attempt,
    /** Whether its programs have other names and numbers than those that were set. */
    otherScene: sitting.scene > 0,
    canTryAgain: practice && standing.handedIn && sheet.state === "set" && newest?.key === sitting.key,
    exercises: edition.content.exercises.map(({ key, title, section, content: asSet }) => {
      const content = contentByRules(asSet, changed);
      return {
        key,
        title,
        section,
        intro: content.intro,
        userActions: content.userActions,
        shown: content.given,
        fileName: content.fileName,
        language: content.language,
        actions: actionsOf(content.language, content.program),
        /** The address of the interpreter that the student's own browser can run it with; null: the server runs it. */
        runsHere: findLanguage(content.language)?.interpreterInBrowsers ? ownPythonFiles() : null,
        dataFiles: Object.entries(content.checks[0]?.files ?? {}).map(([name, text]) => ({ name, text })),
        lines: lineTexts(content.program),
        program: content.program,
        total: totalMarks(content),
        hints: hintsFor(content, takenHints(contents.get(hintsName(key))), sheet.rules.hintCost, inWords),
        /** On which way each fault is found; once marks are released. */
        ways: released ? content.faults.map(({ looks }) => looks ?? []) : [],
        tried: answers.some((answer) => answer.task === triedNote(key)),
        tasks: content.tasks.map((task) => {
          const kind = kindOfTask(task);
          return {
            key: task.key,
            kind: task.kind,
            title: kind.title,
            marks: task.marks,
            onProgram: kind.answeredOnProgram,
            rule: inWords(kind.rule(task)),
            view: kind.view(task, content, contents.get(task.key)),
            marked: inOrderOf(kind.scheme(task, content), marks)
              .filter((mark) => mark.task === task.key)
              .map((mark) => ({
                item: mark.item,
                earned: mark.earned,
                possible: mark.possible,
                // What is only suggested is no judgement, and is not shown as one.
                reason:
                  mark.earned === null
                    ? "This waits for your teacher."
                    : mark.marker === "teacher"
                      ? mark.reason
                      : inWords(mark.reason),
              })),
            /** The answer beside the right one, once marks are released. */
            compared: released ? kind.compare(task, contents.get(task.key) ?? null, content) : null,
            right: released
              ? kind.scheme(task, content).map(({ item, words }) => ({ item, words: inWords(words) }))
              : [],
          };
        }),
      };
    }),
    /** All marks and what hints took of them; before release not even a nought of it is in the page. */
    ...(released ? { totals: totalsOf(marks) } : {}),
    answers: Object.fromEntries(
      answers.map((answer) => [answer.task, { revision: answer.revision, content: answer.content }]),
    ),
  };
}
export type StudentView = Awaited<ReturnType<typeof studentView>>;
