import * as z from "zod";
import { decodeText } from "../../core/source/decode.ts";
import type { Query } from "../database/database.ts";
import { asBytes, bytesColumn } from "../database/rows.ts";

/** Characters of a case that can be searched; more than any program of a class has. */
const searchable = 60_000;

/** Makes the text that a case is searched by anew, from its programs, outputs, words and notes. */
export async function refreshSearchText(query: Query, key: string): Promise<void> {
  const rows = await query(
    `select intent as bytes from faulty_case where key = $1
     union all select instead from faulty_case where key = $1
     union all select changed_last from faulty_case where key = $1
     union all select came_out from faulty_case where key = $1
     union all select convert_to(source, 'UTF8') from faulty_case where key = $1
     union all select note from faulty_case where key = $1
     union all select convert_to(title, 'UTF8') from faulty_case where key = $1
     union all select content from student_addition where faulty_case = $1
     union all select substring(o.content from 1 for ${searchable}) from tool_output o
       join version v on v.key = o.version where v.faulty_case = $1
     union all select substring(c.bytes from 1 for ${searchable}) from version v
       join version_file f on f.version = v.key join content c on c.hash = f.hash where v.faulty_case = $1`,
    [key],
  );
  const parts = z.array(z.object({ bytes: bytesColumn })).parse(rows);
  await setSearchText(
    query,
    key,
    parts.map((row) => decodeText(row.bytes).text),
  );
}

/** Sets the text that a case is searched by. */
export async function setSearchText(query: Query, key: string, parts: readonly string[]): Promise<void> {
  // Through bytes, so that broken surrogates do not reach the text column.
  const joined = parts.map((part) => part.slice(0, searchable)).join("\n");
  const text = asBytes(joined.slice(0, searchable).toLowerCase().replaceAll("\0", "")).toString("utf8");
  await query("update faulty_case set search_text = $2 where key = $1", [key, text]);
}
