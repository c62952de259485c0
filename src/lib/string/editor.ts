import { autocompletion, completionKeymap, type CompletionContext } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { bracketMatching } from '@codemirror/language';
import { forEachDiagnostic, lintKeymap, linter, type Diagnostic } from '@codemirror/lint';
import { EditorState, RangeSetBuilder, StateField, type Text } from '@codemirror/state';
import {
  Decoration,
  EditorView,
  GutterMarker,
  drawSelection,
  gutter,
  keymap,
  placeholder,
  type DecorationSet
} from '@codemirror/view';
import { lex } from '$core/query/lex';
import { limits } from '$core/query/limits';
import { parse } from '$core/query/parse';
import { partsOf } from '$core/query/parts';
import type { Problem } from '$core/query/problem';
import { terms } from '$core/query/query';
import { scopes } from '$core/query/scopes';
import { partGlyph, partTint } from '$lib/marks/parts';

interface Handlers {
  change: (text: string) => void;
  run: () => void;
}

/** The editor for a string: tints of its parts, problems in place with their fixes, completion, undo. */
export function stringEditor(parent: HTMLElement, text: string, handlers: Handlers): EditorView {
  const nonce = document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce ?? '';
  return new EditorView({
    parent,
    state: EditorState.create({
      doc: text,
      extensions: [
        EditorView.cspNonce.of(nonce),
        history(),
        drawSelection(),
        bracketMatching(),
        EditorView.lineWrapping,
        placeholder(
          'Write a string, or build it from the persona: title:("head of quality" OR "quality manager") NOT intern'
        ),
        EditorView.contentAttributes.of({ 'aria-label': 'String', spellcheck: 'false' }),
        reading,
        partGutter,
        linter((view) => parse(view.state.doc.toString()).problems.map(diagnostic), { delay: 120 }),
        autocompletion({ override: [complete], activateOnTyping: true }),
        keymap.of([
          {
            key: 'Mod-Enter',
            run: () => {
              handlers.run();
              return true;
            }
          },
          { key: 'Mod-.', run: takeFix },
          ...completionKeymap,
          ...lintKeymap,
          ...historyKeymap,
          ...defaultKeymap.filter(({ key }) => key !== 'Mod-Enter')
        ]),
        EditorView.updateListener.of((update) => {
          if (update.docChanged) handlers.change(update.state.doc.toString());
        }),
        look
      ]
    })
  });
}

function diagnostic({ from, to, severity, message, fix }: Problem): Diagnostic {
  return {
    from,
    to,
    severity: severity === 'hint' ? 'hint' : severity,
    message,
    ...(fix && {
      actions: [
        {
          name: fix.label,
          // The place given here has followed edits made since; the fix's own places are moved along with it.
          apply: (view: EditorView, at: number) =>
            view.dispatch({
              changes: fix.edits.map((edit) => ({ ...edit, from: edit.from + at - from, to: edit.to + at - from }))
            })
        }
      ]
    })
  };
}

function takeFix(view: EditorView): boolean {
  const at = view.state.selection.main.head;
  let done = false;
  forEachDiagnostic(view.state, (found, from, to) => {
    const action = found.actions?.[0];
    if (done || !action || at < from || at > to) return;
    done = true;
    action.apply(view, from, to);
  });
  return done;
}

interface Reading {
  decorations: DecorationSet;
  /** Part that begins on a line, by the line's start. */
  starts: Map<number, number>;
}

const operator = Decoration.mark({ class: 'cm-operator' });
const scopeMark = Decoration.mark({ class: 'cm-scope' });

function read(doc: Text): Reading {
  const text = doc.toString();
  const marks: { from: number; to: number; mark: Decoration }[] = [];
  const starts = new Map<number, number>();
  if (text.length <= limits.bytes) {
    for (const lexeme of lex(text).lexemes) {
      if (lexeme.kind === 'and' || lexeme.kind === 'or' || lexeme.kind === 'not' || lexeme.kind === 'minus')
        marks.push({ from: lexeme.from, to: lexeme.to, mark: operator });
      if (lexeme.kind === 'scope') marks.push({ from: lexeme.from, to: lexeme.to, mark: scopeMark });
    }
    const { query } = parse(text);
    for (const part of query ? partsOf(query) : []) {
      const tint = Decoration.mark({ attributes: { style: `border-bottom: 2px solid ${partTint(part.index)}` } });
      let first = Infinity;
      for (const { term } of terms(part.query)) {
        if (!term.at) continue;
        first = Math.min(first, term.at.from);
        const scopeEnd = /^[A-Za-z]+:\s*/.exec(text.slice(term.at.from, term.at.to))?.[0].length ?? 0;
        marks.push({ from: term.at.from + scopeEnd, to: term.at.to, mark: tint });
      }
      if (first < Infinity) {
        const line = doc.lineAt(first).from;
        if (!starts.has(line)) starts.set(line, part.index);
      }
    }
  }
  const builder = new RangeSetBuilder<Decoration>();
  for (const { from, to, mark } of marks.sort((a, b) => a.from - b.from || b.to - a.to))
    if (from < to) builder.add(from, to, mark);
  return { decorations: builder.finish(), starts };
}

const reading = StateField.define<Reading>({
  create: (state) => read(state.doc),
  update: (value, change) => (change.docChanged ? read(change.newDoc) : value),
  provide: (field) => EditorView.decorations.from(field, (value) => value.decorations)
});

class PartMarker extends GutterMarker {
  readonly index: number;
  constructor(index: number) {
    super();
    this.index = index;
  }
  override eq(other: PartMarker) {
    return other.index === this.index;
  }
  override toDOM() {
    const mark = document.createElement('span');
    mark.textContent = partGlyph(this.index);
    mark.style.color = partTint(this.index);
    return mark;
  }
}

const partGutter = gutter({
  class: 'cm-parts',
  lineMarker: (view, line) => {
    const index = view.state.field(reading).starts.get(line.from);
    return index === undefined ? null : new PartMarker(index);
  },
  lineMarkerChange: (update) => update.docChanged
});

function complete(context: CompletionContext) {
  const word = context.matchBefore(/[A-Za-z]+/);
  if (!word || (word.text.length < 2 && !context.explicit)) return null;
  return {
    from: word.from,
    options: [
      ...scopes.map((scope) => ({ label: `${scope}:`, type: 'scope', detail: 'scope' })),
      ...['AND', 'OR', 'NOT'].map((label) => ({ label, type: 'operator', detail: 'operator' }))
    ],
    validFor: /^[A-Za-z]*$/
  };
}

const look = EditorView.theme({
  '&': { color: 'var(--ink)', backgroundColor: 'transparent' },
  '&.cm-focused': { outline: '2px solid var(--accent)' },
  '.cm-content': { caretColor: 'var(--ink)', padding: '8px 0' },
  '.cm-cursor': { borderLeftColor: 'var(--ink)' },
  '.cm-gutters': { backgroundColor: 'transparent', border: 'none', minWidth: '38px', fontSize: '12px' },
  '.cm-parts': { width: '38px', textAlign: 'center' },
  '.cm-operator': { color: 'var(--soft)', fontWeight: '600' },
  '.cm-scope': { color: 'var(--accent)' },
  '.cm-selectionBackground, &.cm-focused .cm-selectionBackground': { backgroundColor: 'var(--accent-2) !important' },
  '.cm-matchingBracket': { backgroundColor: 'var(--accent-2)' },
  '.cm-placeholder': { color: 'var(--grey)' },
  '.cm-tooltip': { backgroundColor: 'var(--sheet)', border: '1px solid var(--line)', color: 'var(--ink)' },
  '.cm-tooltip-autocomplete ul li[aria-selected]': { backgroundColor: 'var(--accent)', color: 'var(--on-accent)' },
  '.cm-diagnostic': { borderLeftColor: 'var(--warm)', fontFamily: "'IBM Plex Sans', sans-serif", fontSize: '13px' },
  '.cm-diagnosticAction': { backgroundColor: 'var(--accent)', color: 'var(--on-accent)', borderRadius: '0' },
  '.cm-lintRange-error': {
    backgroundImage: 'none',
    textDecoration: 'underline wavy var(--warm)',
    textUnderlineOffset: '5px'
  },
  '.cm-lintRange-warning': {
    backgroundImage: 'none',
    textDecoration: 'underline wavy var(--warm) 1px',
    textUnderlineOffset: '5px'
  },
  '.cm-lintRange-hint': {
    backgroundImage: 'none',
    textDecoration: 'underline dotted var(--soft)',
    textUnderlineOffset: '5px'
  }
});
