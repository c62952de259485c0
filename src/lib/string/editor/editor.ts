import { keys } from '$lib/frame/keys';
import { autocompletion, completionKeymap } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { bracketMatching } from '@codemirror/language';
import { forEachDiagnostic, lintKeymap, linter, setDiagnostics, type Diagnostic } from '@codemirror/lint';
import { EditorState, RangeSetBuilder, StateEffect, StateField, type Text } from '@codemirror/state';
import {
  Decoration,
  EditorView,
  GutterMarker,
  drawSelection,
  gutter,
  hoverTooltip,
  keymap,
  placeholder,
  type DecorationSet,
  type Tooltip
} from '@codemirror/view';
import { cleanPasted, type CleanPaste } from '$core/formats';
import { lex, limits, parse, quoted, type SetQueries, type Problem, terms, type Query } from '$core/language';
import { describe, partsOf } from '$core/semantics';
import { partGlyph, partTint } from '$lib/marks/parts';
import { complete, type Offers } from './complete';
import { partAt } from './part-at';
import { editor as say } from '../words';

/** What the editor asks of the page around it. */
export interface EditorContext {
  change: (text: string) => void;
  /** The word sets that can be named, as they are now. */
  sets: () => SetQueries;
  offers: () => Offers;
  /** Called after a paste, with the raw text and the cleaned text that was inserted at `from`. */
  pasted: (pasted: string, clean: CleanPaste, from: number) => void;
  /** How many people a part finds alone at each source, a line each. */
  countAlone: (query: Query) => Promise<string[]>;
}

/** The editor for a string: tints of its parts, problems in place with their fixes, completion, what a part matches, undo. */
export function stringEditor(parent: HTMLElement, text: string, context: EditorContext): EditorView {
  const nonce = document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce ?? '';
  const reading = readingOf(context);
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
        placeholder(() => {
          const hint = document.createElement('span');
          hint.textContent = emptyHint(context.offers().titles);
          return hint;
        }),
        EditorView.contentAttributes.of({ 'aria-label': say.string, spellcheck: 'false', tabindex: '0' }),
        reading,
        partGutter(reading),
        linter(null),
        autocompletion({ override: [(asked) => complete(asked, context.offers())], activateOnTyping: true }),
        hoverTooltip((view, at) => whatMatches(view, at, context)),
        EditorView.clipboardInputFilter.of((pasted, state) => {
          const clean = cleanPasted(pasted);
          const { from } = state.selection.main;
          if (clean.changes.length || clean.ask) queueMicrotask(() => context.pasted(pasted, clean, from));
          return clean.text;
        }),
        keymap.of([
          { key: keys.string.fix.press[0], run: takeFix },
          ...completionKeymap,
          ...lintKeymap,
          ...historyKeymap,
          // The page runs the string on it, wherever the focus is.
          ...defaultKeymap.filter(({ key }) => key !== 'Mod-Enter')
        ]),
        EditorView.updateListener.of((update) => {
          if (update.docChanged) context.change(update.state.doc.toString());
        }),
        look
      ]
    })
  });
}

/** What an empty editor says; the example is made of wordings of the brief, where it has any. */
function emptyHint(titles: readonly string[]): string {
  const example = titles.slice(0, 2).map(quoted).join(' OR ');
  return say.writeString + (example && say.example(example));
}

/** Marks problems in the text they were found in. */
export const showProblems = (view: EditorView, problems: readonly Problem[]) =>
  view.dispatch(setDiagnostics(view.state, problems.map(diagnostic)));

/** Reads the text again after the word sets it names have changed. */
export const readAgain = (view: EditorView) => view.dispatch({ effects: setsChanged.of(null) });

const setsChanged = StateEffect.define<null>();

/** The part at a position in plain words, and how many people it finds alone. */
function whatMatches(view: EditorView, at: number, context: EditorContext): Tooltip | null {
  const { query } = parse(view.state.doc.toString(), context.sets());
  const part = query && partAt(query, at);
  if (!part?.at) return null;
  return {
    pos: part.at.from,
    end: part.at.to,
    above: true,
    create: () => {
      const dom = document.createElement('div');
      dom.className = 'cm-matches';
      const say = (text: string) => {
        const line = dom.appendChild(document.createElement('div'));
        line.textContent = text;
      };
      if (part.set) say(`@${part.set.name}`);
      const described = describe(part);
      say(described.length > 400 ? `${described.slice(0, 400)}…` : described);
      context.countAlone(part).then(
        (lines) => lines.forEach(say),
        () => {}
      );
      return { dom };
    }
  };
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
const mutedMark = Decoration.mark({ class: 'cm-muted' });

function read(doc: Text, sets: SetQueries): Reading {
  const text = doc.toString();
  const marks: { from: number; to: number; mark: Decoration }[] = [];
  const starts = new Map<number, number>();
  if (text.length <= limits.bytes) {
    const { lexemes } = lex(text);
    for (const lexeme of lexemes) {
      if (lexeme.kind === 'and' || lexeme.kind === 'or' || lexeme.kind === 'not' || lexeme.kind === 'minus')
        marks.push({ from: lexeme.from, to: lexeme.to, mark: operator });
      if (lexeme.kind === 'scope') marks.push({ from: lexeme.from, to: lexeme.to, mark: scopeMark });
    }
    const { query, muted } = parse(text, sets);
    for (const { from, to } of muted) marks.push({ from, to, mark: mutedMark });
    for (const part of query ? partsOf(query) : []) {
      const tint = Decoration.mark({ attributes: { style: `border-bottom: 2px solid ${partTint(part.index)}` } });
      let first = Infinity;
      let last = -1;
      for (const { term } of terms(part.query)) {
        if (!term.at || term.at.from <= last) continue;
        last = term.at.from;
        first = Math.min(first, term.at.from);
        const scopeEnd = /^(?:own\.[^\s:]+|[A-Za-z]+):\s*/.exec(text.slice(term.at.from, term.at.to))?.[0].length ?? 0;
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

const readingOf = (context: EditorContext) =>
  StateField.define<Reading>({
    create: (state) => read(state.doc, context.sets()),
    update: (value, change) =>
      change.docChanged || change.effects.some((effect) => effect.is(setsChanged))
        ? read(change.newDoc, context.sets())
        : value,
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

const partGutter = (reading: StateField<Reading>) =>
  gutter({
    class: 'cm-parts',
    lineMarker: (view, line) => {
      const index = view.state.field(reading).starts.get(line.from);
      return index === undefined ? null : new PartMarker(index);
    },
    lineMarkerChange: (update) => update.docChanged
  });

const look = EditorView.theme({
  '&': { color: 'var(--ink)', backgroundColor: 'transparent' },
  '&.cm-focused': { outline: '2px solid var(--accent)' },
  '.cm-content': { caretColor: 'var(--ink)', padding: '8px 0' },
  '.cm-cursor': { borderLeftColor: 'var(--ink)' },
  '.cm-gutters': { backgroundColor: 'transparent', border: 'none', minWidth: '38px', fontSize: '12px' },
  '.cm-parts': { width: '38px', textAlign: 'center' },
  '.cm-operator': { color: 'var(--soft)', fontWeight: '600' },
  '.cm-scope': { color: 'var(--accent)' },
  '.cm-muted, .cm-muted *': { color: 'var(--grey)', fontStyle: 'italic', textDecoration: 'line-through' },
  '.cm-matches': {
    padding: '6px 10px',
    maxWidth: '460px',
    fontFamily: "'IBM Plex Sans', sans-serif",
    fontSize: '13px'
  },
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
