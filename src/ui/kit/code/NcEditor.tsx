'use client';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { EditorState, StateEffect, StateField } from '@codemirror/state';
import {
  Decoration,
  type DecorationSet,
  EditorView,
  highlightActiveLine,
  keymap,
  lineNumbers,
} from '@codemirror/view';
import { type Ref, useEffect, useImperativeHandle, useLayoutEffect, useRef } from 'react';
import { sure } from '@/core/sure';
import { nonceOfPage } from '@/ui/kit/theme/nonce';

/** The text of an editor, read and put when it is wanted: megabytes never pass through a form's state. */
export interface EditorText {
  read(): string;
  put(text: string): void;
}

const LOOK = EditorView.theme({
  '.cm-line.cm-shown, &.cm-focused .cm-line.cm-shown': {
    background: 'var(--accent-soft)',
    boxShadow: 'inset 3px 0 0 var(--accent)',
  },
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

/** A text that is read beside something is as tall as the window lets it. */
const TALL = EditorView.theme({ '.cm-scroller': { maxHeight: 'max(320px, calc(100vh - 230px))' } });

/** Marks the line that is shown, by where it begins. */
const show = StateEffect.define<number>();
const SHOWN = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(marks, { effects, changes }) {
    const [shown] = effects.filter((e) => e.is(show));
    return shown
      ? Decoration.set([Decoration.line({ class: 'cm-shown' }).range(shown.value)])
      : marks.map(changes);
  },
  provide: (field) => EditorView.decorations.from(field),
});

/** An editor for NC text, with the numbers of its lines. Tab goes on to the next field: a program needs none. */
export default function NcEditor({
  label,
  text,
  kept,
  at = null,
}: {
  label: string;
  /** The line that is shown and marked; null: none. */
  at?: number | null;
  text?: Ref<EditorText>;
  /** A text that is read and not changed. */
  kept?: string;
}) {
  const place = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  // It stands before its handle is given out, so that what is put at once lies in it.
  useLayoutEffect(() => {
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
          // Reached by Tab as well where nothing can be typed.
          EditorView.contentAttributes.of({ 'aria-label': label, spellcheck: 'false', tabindex: '0' }),
          kept === undefined ? [] : TALL,
          LOOK,
          SHOWN,
        ],
      }),
    });
    view.current = editor;
    return () => editor.destroy();
  }, [label, kept]);
  useEffect(() => {
    const editor = view.current;
    if (!editor || at === null || at < 1 || at > editor.state.doc.lines) return;
    const { from } = editor.state.doc.line(at);
    editor.dispatch({
      selection: { anchor: from },
      effects: [show.of(from), EditorView.scrollIntoView(from, { y: 'center' })],
    });
    // On a narrow screen what was pointed at stands above.
    place.current?.scrollIntoView({ block: 'nearest' });
  }, [at, kept]);
  useImperativeHandle(text, () => ({
    read: () => view.current?.state.doc.toString() ?? '',
    put: (whole) =>
      view.current?.dispatch({ changes: { from: 0, to: view.current.state.doc.length, insert: whole } }),
  }));
  return <div ref={place} />;
}
