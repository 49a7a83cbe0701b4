import type { StudentView } from "../../server/results/studentView.ts";
import { partsOf } from "../tasks/list.ts";

/** A task as its student's page knows it. */
export type TaskView = StudentView["exercises"][number]["tasks"][number];

/** The marks of a task item by item, with the right answer and the own one beside it; nothing before release. */
export function Marked({ task }: { task: TaskView }) {
  if (task.marked.length === 0) return null;
  return (
    <ul className="border-l-2 border-rule-strong pl-3">
      {task.marked.map((mark) => (
        <li key={mark.item}>
          <strong>
            {mark.item}: {mark.earned ?? "waits"} of {mark.possible}
          </strong>{" "}
          {mark.reason}
          {task.right
            .filter(({ item, words }) => item === mark.item && words !== "")
            .map(({ words }) => (
              <span key={words} className="note-small block whitespace-pre-wrap">
                Right is: {words}
              </span>
            ))}
        </li>
      ))}
      {task.compared !== null && (
        <li>
          <details>
            <summary className="cursor-pointer text-sm text-steel-deep">Your answer beside the right one</summary>
            <Beside task={task} />
          </details>
        </li>
      )}
    </ul>
  );
}

/** What was answered with what is not right in it marked, as the kind of task shows it. */
function Beside({ task }: { task: TaskView }) {
  const { Answer } = partsOf(task.kind);
  return <Answer compared={task.compared} />;
}
