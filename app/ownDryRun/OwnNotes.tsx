import type { OwnNote } from "../../core/exercises/ownNote.ts";

/** Guesses of a student, the last ones first, with how many of them were right. */
export function GuessLog({ guesses }: { guesses: OwnNote["guesses"] }) {
  if (guesses.length === 0) return null;
  const right = guesses.filter((guess) => guess.right).length;
  return (
    <details>
      <summary className="link cursor-pointer text-sm">
        {right} of {guesses.length} {guesses.length === 1 ? "guess" : "guesses"} right
      </summary>
      <div className="max-h-60 overflow-auto" tabIndex={0}>
        <table className="mt-1 text-sm">
          <caption className="sr-only">Guesses, the last one first</caption>
          <thead>
            <tr className="text-left">
              {["line", "name", "guessed", "became", ""].map((title) => (
                <th key={title} scope="col" className="pr-4">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {guesses
              .map((guess, at) => ({ ...guess, at }))
              .reverse()
              .map(({ at, line, name, guess, became, right: isRight }) => (
                <tr key={at}>
                  <td className="pr-4">{line}</td>
                  <td className="pr-4 font-mono">{name}</td>
                  <td className="pr-4 font-mono">{guess}</td>
                  <td className="pr-4 font-mono">{became || "no value"}</td>
                  <td>{isRight ? "right" : "not so"}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

/** Room to tell the trouble to somebody, which is half of finding it; it is kept with the answers. */
export function TellIt({ told, onTell }: { told: string; onTell: (told: string) => void }) {
  return (
    <details open={told !== "" || undefined}>
      <summary className="link cursor-pointer text-sm">Tell it to somebody</summary>
      <label className="mt-1 block text-sm font-normal">
        What should the program do? What does it do instead? Which line do you believe, and which one not? Say it as to
        somebody who has never seen it. It earns nothing; your teacher can read it.
        <textarea
          className="field mt-1"
          rows={4}
          maxLength={5000}
          value={told}
          aria-label="Tell it to somebody"
          onChange={(event) => onTell(event.target.value)}
        />
      </label>
    </details>
  );
}
