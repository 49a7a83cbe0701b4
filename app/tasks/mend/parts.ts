import type { Hunk } from "../../../core/fixes/hunks.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Form } from "./Form.tsx";
import { Paper } from "./Paper.tsx";

export const mend = defineTaskParts<unknown, Hunk[], unknown>({ kind: "mend", Form, Answer, Paper });
