import { dropsStopWords } from '../semantics/leaf';
import type { Matching } from '../semantics/exact-matching';
import { GrowingUint32 } from './growing-array';
import { valueParts } from './value-parts';
import type { OwnScope } from '../language/scopes';
import type { Field } from '../people/fields';
import { fields } from '../people/fields';
import type { Vocabulary } from './vocabulary';

/** Texts up to so many letters are distinguished, so that each is held once; longer ones hardly ever come again. */
const longestToldApart = 48;
/** So many texts are distinguished at most in each field. */
const maxToldApart = 500_000;

/** The values met so far, numbered as they come, and who has them. */
export class ValuesMet {
  private readonly stream: GrowingUint32;
  private readonly begins: GrowingUint32;
  private readonly fieldOf: GrowingUint32;
  /** The values of each person, one person after the other. */
  private readonly had: GrowingUint32;
  /** Where the values of each person begin among those. */
  private readonly rowStarts: GrowingUint32;
  private readonly known = new Map<Field, { number: number; values: Map<string, number> }>(
    fields.map((field, number) => [field, { number, values: new Map() }])
  );
  private readonly push: (word: number) => void;
  private readonly pushAll: (word: number) => void;

  /** Room is made for the people there will be with so much to tell as most have: growing copies it all. */
  constructor(
    private readonly vocabulary: Vocabulary,
    matching: Matching,
    people: number
  ) {
    const stream = (this.stream = new GrowingUint32(people * 48));
    this.begins = new GrowingUint32(people * 2);
    this.fieldOf = new GrowingUint32(people * 2);
    this.had = new GrowingUint32(people * 12);
    this.rowStarts = new GrowingUint32(people + 1);
    // Words the source drops are met first, so that their numbers are the lowest, and never reach the stream of a text.
    for (const word of matching.stopWords) vocabulary.cut(word, () => {});
    const dropped = vocabulary.words.length - 1;
    this.pushAll = (word) => stream.push(word);
    this.push = dropped
      ? (word: number) => {
          if (word > dropped) stream.push(word);
        }
      : this.pushAll;
  }

  /** The values told from here on are those of the next person. */
  nextPerson(): void {
    this.rowStarts.push(this.had.length);
  }

  tell(field: Field, text: string): void {
    const { number, values } = this.known.get(field) ?? this.begin(field as OwnScope);
    const short = text.length <= longestToldApart;
    let value = short ? values.get(text) : undefined;
    if (value === undefined) {
      value = this.begins.length;
      this.begins.push(this.stream.length);
      this.fieldOf.push(number);
      this.vocabulary.cut(text, dropsStopWords(field) ? this.push : this.pushAll);
      this.stream.push(0);
      if (short && values.size < maxToldApart) values.set(text, value);
    }
    this.had.push(value);
  }

  /** The own fields met so far, in the order of their numbers. */
  readonly own: OwnScope[] = [];

  private begin(scope: OwnScope) {
    const created = { number: fields.length + this.own.push(scope) - 1, values: new Map<string, number>() };
    this.known.set(scope, created);
    return created;
  }

  /** All of it, values numbered field by field. */
  parts() {
    return valueParts(
      {
        stream: this.stream.view(),
        begins: this.begins.view(),
        fieldOf: this.fieldOf.view(),
        had: this.had.view(),
        rowStarts: this.rowStarts.view()
      },
      this.vocabulary.words.length,
      this.own.length
    );
  }
}
