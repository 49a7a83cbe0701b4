import { z } from "zod";
import { Script } from "../components/Script.tsx";
import type { TaskFormProps } from "./taskForms.ts";

const viewSchema = z.object({ program: z.enum(["faulty", "mended"]), text: z.string().nullable(), input: z.string(), endings: z.array(z.string()) });
const answerSchema = z.object({ output: z.string().default(""), ending: z.string().optional(), givenUp: z.boolean().optional() }).catch({ output: "" });

export function PredictForm({ task, answer, fixed, change, exercise }: TaskFormProps) {
  const view = viewSchema.parse(task.view);
  const own = answerSchema.parse(answer ?? {});
  const locked = fixed || exercise.tried;
  return (
    <div className="grid gap-2">
      <MendedProgram text={view.text} />
      <TypedIn input={view.input} />
      <label>
        What does it print?
        <textarea
          className="field field-code overflow-auto"
          rows={4}
          spellCheck={false}
          wrap="off"
          value={own.output}
          disabled={locked}
          onChange={(event) => change({ ...own, output: event.target.value })}
        />
      </label>
      <fieldset className="flex flex-wrap gap-x-5" disabled={locked}>
        <legend className="text-sm">And how does the run end?</legend>
        {view.endings.map((ending) => (
          <label key={ending} className="font-normal">
            <input type="radio" name={`ending ${task.key}`} checked={own.ending === ending} onChange={() => change({ ...own, ending })} /> It {ending}
          </label>
        ))}
      </fieldset>
      {!locked && own.output === "" && own.ending === undefined && !own.givenUp && (
        <div>
          <button type="button" className="press press-quiet text-sm" onClick={() => change({ output: "", givenUp: true })}>
            I give this up
          </button>
        </div>
      )}
      {own.givenUp && <p className="note-small">Given up.</p>}
    </div>
  );
}

/** The mended program, where a task is about that one. */
export function MendedProgram({ text }: { text: string | null }) {
  if (text === null) return null;
  return (
    <div>
      <p>This is about the mended program:</p>
      <div className="border border-rule bg-sheet py-2">
        <Script lines={text.replace(/\r?\n$/, "").split(/\r?\n/)} label="Mended program" />
      </div>
    </div>
  );
}

/** What is typed in, line by line. */
export function TypedIn({ input }: { input: string }) {
  if (input === "") return <p className="note-small">Nothing is typed in.</p>;
  return (
    <p>
      Typed in:{" "}
      {input
        .replace(/\n$/, "")
        .split("\n")
        .map((line, index) => (
          <kbd key={index} className="mr-2 border border-rule-strong bg-leaf px-1.5">
            {line || "(Enter)"}
          </kbd>
        ))}
    </p>
  );
}
