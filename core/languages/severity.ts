import type { Diagnostic } from "../outcome/outcome.ts";
import { ownOf } from "../source/ownOf.ts";

/** What tools call an error, a warning and a note in the languages that they are translated into. */
const words: Readonly<Record<string, Diagnostic["severity"]>> = {
  error: "error",
  "fatal error": "error",
  fatal: "error",
  fehler: "error",
  "schwerwiegender fehler": "error",
  erreur: "error",
  "erreur fatale": "error",
  "error fatal": "error",
  errore: "error",
  "errore fatale": "error",
  erro: "error",
  "erro fatal": "error",
  fout: "error",
  ошибка: "error",
  エラー: "error",
  错误: "error",
  warning: "warning",
  warnung: "warning",
  avertissement: "warning",
  attention: "warning",
  aviso: "warning",
  advertencia: "warning",
  avviso: "warning",
  waarschuwing: "warning",
  предупреждение: "warning",
  警告: "warning",
  note: "note",
  hint: "note",
  anmerkung: "note",
  hinweis: "note",
  nota: "note",
  opmerking: "note",
  замечание: "note",
  注意: "note",
  附注: "note",
};

/**
 * The severity that a tool's word stands for, in any of the languages that are known here; undefined for any other
 * word.
 */
export function severityOf(word: string): Diagnostic["severity"] | undefined {
  return ownOf(words, word.trim().toLowerCase());
}
