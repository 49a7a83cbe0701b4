import { languages } from "../../core/languages/languages.ts";
import { problemList } from "../../core/languages/problemList.ts";
import type { Route } from "./+types/page.ts";

export const meta: Route.MetaFunction = () => [{ title: "Languages · Bent Nail" }];

export async function loader({ context }: Route.LoaderArgs) {
  const { toolchains } = context.services;
  const rows = await Promise.all(
    languages.map(async ({ id, name, profile, namesCheckedAt, families, runs }) => {
      const toolchain = toolchains.find(id);
      const state = toolchain
        ? await toolchain.available()
        : ({
            ready: false,
            reason:
              runs === false
                ? "steps in words are gone through on paper"
                : "its messages are read; no translator for it runs here",
          } as const);
      return {
        id,
        name,
        profile,
        namesCheckedAt,
        ready: state.ready,
        words: state.ready ? state.version : state.reason,
        means: toolchain?.means ?? "",
        readers: families
          .filter((family) => family !== problemList)
          .map((family) => ({ name: family.name, checkedAgainst: family.checkedAgainst })),
        packages: state.ready ? [] : [...(toolchain?.packages ?? [])],
      };
    }),
  );
  const missing = [...new Set(rows.flatMap((row) => row.packages))];
  return { rows, command: missing.length > 0 ? `sudo apt-get install ${missing.join(" ")}` : null };
}

const firstIndexWords = { 0: "0", 1: "1", declared: "as declared" } as const;

export default function Languages({ loaderData: { rows, command } }: Route.ComponentProps) {
  return (
    <div className="grid gap-4">
      <h1>Languages</h1>
      <p>Every run happens in a sandbox without a network, in a folder of its own that is empty again afterwards.</p>
      {command && (
        <p className="leaf p-3">
          To add what is missing: <code className="bg-slip px-1">{command}</code>, then start Bent Nail again. Until
          then such cases are collected, read and judged by their text.
        </p>
      )}
      <section className="overflow-x-auto" aria-label="Languages and their translators" tabIndex={0}>
        <table className="leaf w-full border-collapse text-left">
          <thead>
            <tr className="border-b-2 border-rule-strong">
              <th className="px-3 py-2">Language</th>
              <th className="px-3 py-2">Runs here</th>
              <th className="px-3 py-2">By which means</th>
              <th className="px-3 py-2">What happens to a program</th>
              <th className="px-3 py-2">Where the fault usually lies</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id} className="border-b border-rule align-top">
                <th scope="row" className="px-3 py-2 font-semibold whitespace-nowrap">
                  {row.name}
                </th>
                <td className="px-3 py-2">{row.ready ? row.words : <strong>No: {row.words}</strong>}</td>
                <td className="px-3 py-2 text-sm">{row.means}</td>
                <td className="px-3 py-2 text-sm">
                  {row.profile.stages.join("; ")}. An unknown name{" "}
                  {row.namesCheckedAt === "translation"
                    ? "keeps it from starting"
                    : "shows only when its line is reached"}
                  .
                </td>
                <td className="px-3 py-2 text-sm">{row.profile.usualDistance}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <h2>Whose messages are read</h2>
      <p className="note-small">
        A reader that could not be tried on the tool itself goes by its documentation, and says so.
      </p>
      <section className="overflow-x-auto" aria-label="Readers of messages" tabIndex={0}>
        <table className="leaf w-full border-collapse text-left text-sm">
          <thead>
            <tr className="border-b-2 border-rule-strong">
              <th className="px-3 py-2">Language</th>
              <th className="px-3 py-2">Tools</th>
              <th className="px-3 py-2">Checked against</th>
            </tr>
          </thead>
          <tbody>
            <tr className="border-b border-rule">
              <th scope="row" className="px-3 py-1 font-semibold whitespace-nowrap">
                every language
              </th>
              <td className="px-3 py-1">{problemList.name}</td>
              <td className="px-3 py-1">
                <strong>not checked against the tool</strong>
              </td>
            </tr>
            {rows.flatMap((row) =>
              row.readers.map((reader) => (
                <tr key={row.id + reader.name} className="border-b border-rule">
                  <th scope="row" className="px-3 py-1 font-semibold whitespace-nowrap">
                    {row.name}
                  </th>
                  <td className="px-3 py-1">{reader.name}</td>
                  <td className="px-3 py-1">
                    {reader.checkedAgainst ?? <strong>not checked against the tool</strong>}
                  </td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      </section>
      <h2>What differs between them</h2>
      <section className="overflow-x-auto" aria-label="Rules of the languages" tabIndex={0}>
        <table className="leaf w-full border-collapse text-left text-sm">
          <thead>
            <tr className="border-b-2 border-rule-strong">
              {[
                "Language",
                "Blocks",
                "End of a statement",
                "Letter case",
                "First position",
                "Before a value is given",
                "Dividing whole numbers",
                "Typed input",
                "Warnings",
              ].map((title) => (
                <th key={title} className="px-3 py-2">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, name, profile }) => (
              <tr key={id} className="border-b border-rule align-top">
                <th scope="row" className="px-3 py-2 font-semibold whitespace-nowrap">
                  {name}
                </th>
                <td className="px-3 py-2">{profile.blocks}</td>
                <td className="px-3 py-2">{profile.statementEnd}</td>
                <td className="px-3 py-2">{profile.caseSensitive ? "counts" : "does not count"}</td>
                <td className="px-3 py-2">{firstIndexWords[profile.firstIndex]}</td>
                <td className="px-3 py-2">{profile.unsetValue}</td>
                <td className="px-3 py-2">{profile.integerDivision}</td>
                <td className="px-3 py-2">{profile.input}</td>
                <td className="px-3 py-2">{profile.strictness}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
