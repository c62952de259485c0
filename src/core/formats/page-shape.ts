import type { PageField } from './page-fields';
import { isFirm, isName, isPlace, isTitle, noise, type PageRow } from './page-pieces';

// What the blocks of a page reveal when compared with each other: buttons, positions of names, the content of each position.

/** What parts the pieces of a line: dashes and signs between spaces, bars, tabs. */
const between = /\s{1,40}[|•·–—-]\s{1,40}|\s{0,40}[|•·]\s{0,40}|\t+|\s{3,}|…|\.\.\./;
/** Characters without which a line can't be split. Most lines have none, which is the fastest check. */
const mayPart = /[|•·–—\t…-]|\s{3}|\.{3}/;

/** The pieces of a line, without the page's own words. */
export const piecesOf = (line: string): string[] =>
  (mayPart.test(line) ? line.split(between) : [line])
    .map((piece) => piece.trim())
    .filter((piece) => piece && !noise.test(piece));

/** So many lines or blocks, from all of a page, say how it is made. */
const enough = 400;
/** Some of a list, at no regular distance: what comes again with every person would be all or none of them. */
export function someOf<T>(list: readonly T[]): readonly T[] {
  if (list.length <= enough) return list;
  const golden = (Math.sqrt(5) - 1) / 2;
  return Array.from({ length: enough }, (_, i) => list[Math.floor(((i * golden) % 1) * list.length)]!);
}

/** The page's own words in a block, such as buttons, come again in nearly every block and are nothing of a person. */
export function withoutButtons(lines: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const line of lines) counts.set(line.trim(), (counts.get(line.trim()) ?? 0) + 1);
  const often = [...counts].filter(
    ([line, count]) =>
      line && count >= 3 && line.split(/\s+/).length <= 4 && !isFirm(line) && !isTitle(line) && !isPlace(line)
  );
  if (!often.length) return [...lines];
  // Firms may look like names: blocks that blank lines part are counted more surely.
  const blocks = blocksOf(lines).length;
  let people = blocks > 2 ? blocks : Infinity;
  const isButton = ([, count]: readonly [string, number]) => count >= 0.8 * people;
  // What is in most blocks is a button however many of these begin with a name.
  if (!often.every(isButton)) people = Math.min(people, lines.filter((line) => isName(line.trim())).length);
  const buttons = new Set(often.filter(isButton).map(([line]) => line));
  return lines.filter((line) => !buttons.has(line.trim()));
}

/** Lines that no blank line parts. */
function blocksOf(lines: readonly string[]): string[][] {
  const blocks: string[][] = [[]];
  for (const line of lines) {
    if (line.trim()) blocks.at(-1)!.push(line);
    else if (blocks.at(-1)!.length) blocks.push([]);
  }
  return blocks.filter((block) => block.length);
}
/** Whether most blocks, of two or more, are of a kind. */
const most = (blocks: readonly string[][], holds: (block: readonly string[]) => boolean): boolean =>
  blocks.length >= 2 && blocks.filter(holds).length >= Math.max(2, 0.6 * blocks.length);

/** Where most blocks have a title above the name, the name is put first. */
export function namesFirst(lines: readonly string[]): string[] {
  const isAbove = ([first, second]: readonly string[]) =>
    second !== undefined && isName(second.trim()) && isTitle(first!.trim()) && !isName(first!.trim());
  const blocks = blocksOf(lines);
  if (!most(blocks, isAbove)) return [...lines];
  return blocks.flatMap((block) => (isAbove(block) ? [block[1]!, block[0]!, ...block.slice(2), ''] : [...block, '']));
}

/** Whether blank lines part one person from the next: most blocks begin with a name then. */
export const partedByBlanks = (lines: readonly string[]): boolean =>
  most(blocksOf(lines), ([first]) => isName(first!.trim()));

/**
 * Where the blocks of a page are made alike, what is at the same place of each is of the same kind: a town that no list holds
 * is where the others have their towns. Fills what was left empty.
 */
export function filledByShape(rows: PageRow[], lines: readonly string[]): PageRow[] {
  const blocks = blocksOf(lines);
  if (blocks.length < 3 || blocks.length !== rows.length) return rows;
  const placed = (block: readonly string[]) =>
    block.flatMap((line, at) => piecesOf(line).map((piece, i) => ({ at: `${at}/${i}`, piece })));
  const some = someOf(blocks);
  const towns = new Map<string, number>();
  for (const block of some)
    for (const { at, piece } of placed(block)) if (isPlace(piece)) towns.set(at, (towns.get(at) ?? 0) + 1);
  const [where, many] = [...towns].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  if (many < 0.5 * some.length) return rows;
  return rows.map((row, i) => {
    if (row.values.place) return row;
    const piece = placed(blocks[i]!).find(({ at }) => at === where)?.piece;
    const values = { ...row.values };
    if (!piece || !/^\p{Lu}/u.test(piece) || piece.split(/\s+/).length > 6) return row;
    // It was taken for something else by its place alone.
    const wrong = row.doubtful.filter((field) => values[field] === piece);
    const left = Object.fromEntries(Object.entries(values).filter(([field]) => !wrong.includes(field as PageField)));
    if (Object.values(left).includes(piece)) return row;
    return {
      values: { ...left, place: piece },
      doubtful: [...row.doubtful.filter((field) => !wrong.includes(field)), 'place']
    };
  });
}
