import { defaultKeymap, history, historyKeymap } from "@codemirror/commands";
import { HighlightStyle, indentUnit, syntaxHighlighting } from "@codemirror/language";
import { EditorState } from "@codemirror/state";
import { drawSelection, EditorView, highlightSpecialChars, keymap, lineNumbers } from "@codemirror/view";
import { tags } from "@lezer/highlight";
import { useEffect, useRef } from "react";
import { useNonce } from "../nonce.ts";
import { editorMode } from "./editorModes.ts";

/** Ink on paper: weight and slant carry the difference, colour only helps. */
const inkOnPaper = HighlightStyle.define([
  { tag: tags.keyword, fontWeight: "600", color: "var(--color-steel-deep)" },
  { tag: tags.string, color: "var(--color-quoted)" },
  { tag: tags.comment, fontStyle: "italic", color: "var(--color-graphite)" },
]);

const page = EditorView.theme({
  "&": {
    backgroundColor: "var(--color-sheet)",
    color: "var(--color-ink)",
    fontSize: "0.9rem",
    border: "1px solid var(--color-rule-strong)",
  },
  "&.cm-focused": { outline: "3px solid var(--color-steel)", outlineOffset: "1px" },
  ".cm-content": { fontFamily: '"IBM Plex Mono", monospace', lineHeight: "1.5rem", padding: "4px 0" },
  ".cm-gutters": {
    backgroundColor: "var(--color-leaf)",
    color: "var(--color-graphite)",
    borderRight: "1px solid var(--color-rule)",
  },
  ".cm-cursor": { borderLeftColor: "var(--color-ink)", borderLeftWidth: "2px" },
  "&.cm-focused .cm-selectionBackground, .cm-selectionBackground": {
    backgroundColor: "var(--color-selected) !important",
  },
});

/**
 * A program to be edited. The text goes into a hidden form field called `name` (line ends as LF) and to `onChange`.
 * The Tab key moves on and is no trap: it is not bound; the space bar indents.
 */
export function ProgramEditor({
  name,
  initial,
  label,
  language,
  onChange,
}: {
  name: string;
  initial: string;
  label: string;
  /** Id of the program's language, for the weight of its words. */
  language: string;
  onChange?: (text: string) => void;
}) {
  const place = useRef<HTMLDivElement>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const tell = useRef(onChange);
  tell.current = onChange;
  const nonce = useNonce();
  useEffect(() => {
    if (!place.current) return;
    const view = new EditorView({
      parent: place.current,
      state: EditorState.create({
        doc: initial,
        extensions: [
          lineNumbers(),
          history(),
          drawSelection(),
          highlightSpecialChars(),
          indentUnit.of("    "),
          EditorState.tabSize.of(4),
          ...editorMode(language),
          syntaxHighlighting(inkOnPaper),
          page,
          keymap.of([...defaultKeymap, ...historyKeymap]),
          EditorView.contentAttributes.of({ "aria-label": label, spellcheck: "false", tabindex: "0" }),
          ...(nonce ? [EditorView.cspNonce.of(nonce)] : []),
          EditorView.updateListener.of((update) => {
            if (!update.docChanged || !field.current) return;
            field.current.value = update.state.doc.toString();
            tell.current?.(field.current.value);
          }),
        ],
      }),
    });
    return () => view.destroy();
  }, [initial, label, language, nonce]);
  return (
    <>
      <div ref={place} />
      <textarea ref={field} name={name} defaultValue={initial} hidden readOnly aria-hidden="true" tabIndex={-1} />
    </>
  );
}
