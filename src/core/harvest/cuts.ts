import type { Search } from '../dialect/search-schema';
import { cutByAlternatives, cutByWord } from './cut-by-text';
import { cutsByFact, type CutNeeds } from './cut-by-fact';
import type { Cut } from './slice';

/** Searches that a cut should take in all: its parts, and those of parts that must be cut again. */
const searchesOf = ({ parts }: Cut, most: number): number =>
  parts.reduce((sum, { expected }) => sum + (expected <= most ? 1 : 1 + Math.ceil(expected / most)), 0);

/** A cut that may lose somebody weighs as so many searches more, and each row that it should lose as so many. */
const loss = { any: 3, row: 0.05 };
/** Rows whose texts are read at most. */
const maxRead = 300;
/** What a person understands at a glance goes before what only a machine would ask. */
const obscure = { values: 0, numbers: 0, alternatives: 1, word: 1.5, neutral: 3 };

/**
 * The ways of cutting a search at a source into parts that together find exactly whom it finds, best first: the fewest
 * searches, nobody lost, the least expected in any one part. Empty where it cannot be cut.
 *
 * The law (docs/harvest.md): the union of the parts, each read by the source's own rules, is the search; where `lost` names a
 * fact, but for those of whom it is not listed, or told otherwise than can be chosen.
 */
export function cutsOf(search: Search, needs: CutNeeds): Cut[] {
  const { count, most } = needs;
  // Words of a few hundred rows tell as much as those of all.
  const step = Math.ceil(needs.seen.length / maxRead);
  const some = step > 1 ? { ...needs, seen: needs.seen.filter((_, i) => i % step === 0) } : needs;
  const text = [cutByAlternatives(search, some), cutByWord(search, some)].filter((cut) => cut !== null);
  const cost = (cut: Cut) =>
    searchesOf(cut, most) + obscure[cut.by.kind] + (cut.lost ? loss.any + cut.lost.expected * loss.row : 0);
  const largest = (cut: Cut) => Math.max(...cut.parts.map(({ expected }) => expected));
  return [...cutsByFact(search, needs), ...text]
    .filter((cut) => largest(cut) < count || cut.parts.length > 2)
    .map((cut) => ({ cut, cost: cost(cut), largest: largest(cut) }))
    .sort((a, b) => a.cost - b.cost || a.largest - b.largest)
    .map(({ cut }) => cut);
}
