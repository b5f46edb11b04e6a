'use client';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { EditorState } from '@codemirror/state';
import { EditorView, highlightActiveLine, keymap, lineNumbers } from '@codemirror/view';
import { type Ref, useEffect, useImperativeHandle, useRef } from 'react';
import { sure } from '@/core/sure';
import { nonceOfPage } from '@/ui/kit/theme/nonce';

/** The text of an editor, read and put when it is wanted: megabytes never pass through a form's state. */
export interface EditorText {
  read(): string;
  put(text: string): void;
}

const LOOK = EditorView.theme({
  '&': {
    fontSize: '13px',
    background: 'var(--sheet)',
    color: 'var(--ink)',
    border: '1px solid var(--line)',
  },
  '&.cm-focused': { outline: '2px solid var(--accent)' },
  '.cm-scroller': { fontFamily: 'var(--figures)', lineHeight: '1.4', minHeight: '118px', maxHeight: '320px' },
  '.cm-content': { caretColor: 'var(--ink)' },
  '.cm-gutters': { background: 'transparent', color: 'var(--soft)', border: 'none' },
  '.cm-activeLine, .cm-activeLineGutter': { background: 'transparent' },
  '&.cm-focused .cm-activeLine, &.cm-focused .cm-activeLineGutter': { background: 'var(--accent-soft)' },
});

/** An editor for NC text, with the numbers of its lines. Tab goes on to the next field: a program needs none. */
export default function NcEditor({
  label,
  text,
  kept,
}: {
  label: string;
  text?: Ref<EditorText>;
  /** A text that is read and not changed. */
  kept?: string;
}) {
  const place = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  useEffect(() => {
    const editor = new EditorView({
      parent: sure(place.current, 'the place of the editor'),
      state: EditorState.create({
        doc: kept ?? '',
        extensions: [
          EditorView.cspNonce.of(nonceOfPage()),
          EditorState.readOnly.of(kept !== undefined),
          lineNumbers(),
          history(),
          highlightActiveLine(),
          keymap.of([...defaultKeymap, ...historyKeymap]),
          EditorView.contentAttributes.of({ 'aria-label': label, spellcheck: 'false' }),
          LOOK,
        ],
      }),
    });
    view.current = editor;
    return () => editor.destroy();
  }, [label, kept]);
  useImperativeHandle(text, () => ({
    read: () => view.current?.state.doc.toString() ?? '',
    put: (whole) =>
      view.current?.dispatch({ changes: { from: 0, to: view.current.state.doc.length, insert: whole } }),
  }));
  return <div ref={place} />;
}
