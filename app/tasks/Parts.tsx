import { useId } from "react";
import {
  type PartField,
  type PartsCompared,
  type PartsView,
  partsAnswerSchema,
  type ShownText,
} from "../../core/exercises/asked.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { useCourseWords } from "../components/marks.tsx";
import { Script } from "../components/Script.tsx";
import { PrintedProgram, WritingLines } from "../print/PrintPage.tsx";
import { GoOn } from "./GoOn.tsx";
import type { FormProps } from "./taskParts.ts";

/** What a part shows: programs with their line numbers, and what tools wrote. */
function Shown({ shown }: { shown: readonly ShownText[] }) {
  return shown.map(({ says, text, isProgram, firstLine }, index) => (
    <div key={index}>
      {says !== "" && <p className="note-small">{says}</p>}
      {isProgram ? (
        <div className="border border-rule bg-sheet py-2">
          <Script lines={lineTexts(text)} label={says || "Program"} firstNumber={firstLine ?? 1} />
        </div>
      ) : (
        <pre className="border border-rule px-2 text-sm wrap-anywhere whitespace-pre-wrap">{text || "(nothing)"}</pre>
      )}
    </div>
  ));
}

/** A field: a choice, a line, or some lines. */
function Asked({
  field,
  value,
  fixed,
  write,
  group,
}: {
  field: PartField;
  value: string | undefined;
  fixed: boolean;
  write: (text: string) => void;
  group: string;
}) {
  const inWords = useCourseWords();
  const place = useId();
  const { says, options, rows, code, starts } = field;
  const first = value ?? starts ?? "";
  if (options && options.length > 4)
    return (
      <label className="flex flex-wrap items-baseline gap-3 font-normal">
        <select className="field w-auto" value={first} disabled={fixed} onChange={(event) => write(event.target.value)}>
          <option value="">-</option>
          {options.map(({ value: own, words }) => (
            <option key={own} value={own}>
              {inWords(words)}
            </option>
          ))}
        </select>
        <Asking says={says} code={code} />
      </label>
    );
  if (options)
    return (
      <fieldset className="grid gap-1" disabled={fixed}>
        <legend>
          <Asking says={says} code={code} />
        </legend>
        <div className="flex flex-wrap gap-x-5 gap-y-1">
          {options.map(({ value: own, words }) => (
            <label key={own} className="inline-flex min-h-8 items-center gap-2 font-normal">
              <input
                type="radio"
                name={`${group} ${field.name}`}
                value={own}
                checked={first === own}
                onChange={() => write(own)}
              />
              {inWords(words)}
            </label>
          ))}
        </div>
      </fieldset>
    );
  return (
    <div>
      <label htmlFor={place}>{says}</label>
      {rows === 1 ? (
        <input
          id={place}
          className={`field ${code ? "font-mono" : ""}`}
          autoComplete="off"
          spellCheck={!code}
          value={first}
          disabled={fixed}
          onChange={(event) => write(event.target.value)}
        />
      ) : (
        <textarea
          id={place}
          className={`field ${code ? "font-mono" : ""}`}
          rows={rows}
          spellCheck={!code}
          value={first}
          disabled={fixed}
          onChange={(event) => write(event.target.value)}
        />
      )}
    </div>
  );
}

function Asking({ says, code }: { says: string; code: boolean | undefined }) {
  return code ? <code className="whitespace-pre-wrap">{says}</code> : <span className="font-semibold">{says}</span>;
}

/** A task in parts: what was given stays, what comes next is seen when it was given. */
export function PartsForm({ view, answer, fixed, change, saveNow, taskKey, exercise }: FormProps<PartsView>) {
  const parsed = partsAnswerSchema.safeParse(answer);
  const texts: Record<string, string> = parsed.success ? parsed.data.texts : {};
  const { closed, parts } = view;
  return (
    <div className="grid gap-4">
      {parts.slice(0, closed + 1).map((part, index) => (
        <div key={index} className="grid gap-3">
          {part.says !== "" && <p>{parts.length > 1 ? `Step ${index + 1}: ${part.says}` : part.says}</p>}
          <Shown shown={part.shown} />
          {part.fields.map((field) => (
            <Asked
              key={field.name}
              field={field}
              value={texts[field.name]}
              fixed={fixed || index < closed}
              group={`${exercise.key} ${taskKey}`}
              write={(text) => change({ texts: { ...texts, [field.name]: text }, closed })}
            />
          ))}
        </div>
      ))}
      {closed < parts.length - 1 && !fixed && (
        <GoOn to={closed + 2} give={() => change({ texts, closed: closed + 1 })} saveNow={saveNow} />
      )}
    </div>
  );
}

/** What was given, with what is right beside what is not. */
export function PartsAnswer({ compared }: { compared: PartsCompared }) {
  const inWords = useCourseWords();
  const { texts, right } = compared;
  return (
    <ul className="grid gap-1">
      {compared.parts
        .flatMap(({ fields }) => fields)
        .map(({ name, says, options, code }) => {
          const wordsOf = (value: string | undefined) =>
            inWords(options?.find((option) => option.value === value)?.words ?? (value || "nothing"));
          const [own, key] = [texts[name], right[name]];
          const isRight = key === undefined || (own ?? "").trim() === key.trim();
          return (
            <li key={name} className={code ? "font-mono" : ""}>
              <span className="note-small block whitespace-pre-wrap">{says}</span>
              {isRight ? (
                <strong className="whitespace-pre-wrap">{wordsOf(own)}</strong>
              ) : (
                <>
                  <span className="block whitespace-pre-wrap">{wordsOf(own)}</span>
                  <strong className="block whitespace-pre-wrap">
                    <span className="note-small font-sans font-normal">for instance </span>
                    {wordsOf(key)}
                  </strong>
                </>
              )}
            </li>
          );
        })}
    </ul>
  );
}

/** The same on paper: every part, what it shows where that may be seen at once, and room to write. */
export function PartsPaper({ view }: { view: PartsView }) {
  const inWords = useCourseWords();
  return view.parts.map((part, index) => (
    <div key={index} className="grid gap-2">
      {part.says !== "" && <p>{view.parts.length > 1 ? `Step ${index + 1}: ${part.says}` : part.says}</p>}
      {part.shown.map(({ says, text, isProgram }, at) => (
        <div key={at}>
          {says !== "" && <p>{says}</p>}
          {isProgram ? (
            <PrintedProgram lines={lineTexts(text)} />
          ) : (
            <pre className="border border-rule px-2 text-sm whitespace-pre-wrap">{text || "(nothing)"}</pre>
          )}
        </div>
      ))}
      {part.fields.map(({ name, says, rows, options, starts }) =>
        options ? (
          <p key={name}>
            {says} {options.map(({ words }) => `☐ ${inWords(words)}`).join("  ")}
          </p>
        ) : (
          <div key={name}>
            <p className="whitespace-pre-wrap">{says}</p>
            {starts ? <PrintedProgram lines={lineTexts(starts)} /> : null}
            <WritingLines count={starts ? 3 : rows} />
          </div>
        ),
      )}
    </div>
  ));
}
