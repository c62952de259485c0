import { StringDecoder } from 'node:string_decoder';
import { SaxesParser } from 'saxes';
import { ArchiveTooLarge, readArchive } from './bounded-archive';

/** What a workbook may hold. The reader keeps a sheet in memory as a full rectangle, so its corner counts and not only its cells. */
const most = { rows: 1_000_000, cells: 8_000_000, rectangle: 16_000_000, strings: 4_000_000 };

const archive = { entries: 5000, bytes: 480 * 1024 * 1024, ratio: 300, ratioFrom: 32 * 1024 * 1024 };

/**
 * Reads a workbook once as a stream, without keeping any of it, and throws where it holds more than can be read.
 * @throws ArchiveTooLarge beyond a limit, with the value and the bound
 */
export async function checkWorkbook(path: string): Promise<void> {
  await readArchive(path, archive, async (name, pieces) => {
    const count = /^\/?xl\/worksheets\/[^/]*\.xml$/i.test(name)
      ? sheetCounter()
      : /sharedStrings\.xml$/i.test(name)
        ? stringCounter()
        : null;
    if (!count) {
      for await (const piece of pieces) void piece;
      return;
    }
    const decoder = new StringDecoder('utf8');
    for await (const piece of pieces) count.write(decoder.write(piece));
  });
}

const tooMany = (what: string, bound: number) =>
  new ArchiveTooLarge(`it has more than ${bound.toLocaleString('en')} ${what}`);

/** A parser that counts and leaves faults of the XML to the reader, which names them. */
function counter(opened: (name: string, attributes: Record<string, string>) => void): SaxesParser {
  const parser = new SaxesParser({ fileName: '', position: false });
  parser.on('error', () => {});
  parser.on('opentag', ({ name, attributes }) =>
    opened(name.slice(name.indexOf(':') + 1), attributes as Record<string, string>)
  );
  return parser;
}

function sheetCounter(): SaxesParser {
  let rows = 0;
  let cells = 0;
  let lastRow = 0;
  let lastColumn = 0;
  let column = 0;
  return counter((name, { r }) => {
    if (name === 'row') {
      if (++rows > most.rows) throw tooMany('rows', most.rows);
      lastRow = Math.max(lastRow, Number(r) || rows);
      column = 0;
    } else if (name === 'c') {
      if (++cells > most.cells) throw tooMany('cells', most.cells);
      const place = r === undefined ? null : placeOf(r);
      column = place?.column ?? column + 1;
      lastColumn = Math.max(lastColumn, column);
      lastRow = Math.max(lastRow, place?.row ?? 0);
    } else return;
    if (lastRow > most.rows) throw tooMany('rows', most.rows);
    if (lastRow * lastColumn > most.rectangle)
      throw new ArchiveTooLarge(
        `its sheet spans ${lastRow.toLocaleString('en')} rows and ${lastColumn.toLocaleString('en')} columns, more than ${most.rectangle.toLocaleString('en')} cells`
      );
  });
}

function stringCounter(): SaxesParser {
  let strings = 0;
  return counter((name) => {
    if (name === 'si' && ++strings > most.strings) throw tooMany('different texts', most.strings);
  });
}

/** Row and column of a cell's address, such as BC12 (ECMA-376 part 1, 18.18.7); null where it is none. */
function placeOf(address: string): { row: number; column: number } | null {
  const read = /^([A-Z]{1,4})(\d{1,9})$/i.exec(address);
  if (!read) return null;
  let column = 0;
  for (const letter of read[1]!.toUpperCase()) column = column * 26 + letter.charCodeAt(0) - 64;
  return { row: Number(read[2]), column };
}
