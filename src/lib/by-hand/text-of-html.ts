/** Elements that start a new line. */
const lines = new Set(
  'address article aside blockquote br button dd div dl dt figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr li main nav ol p section table tr ul'.split(
    ' '
  )
);
const silent = new Set(['script', 'style', 'template', 'noscript', 'svg', 'head']);

const isSilent = (node: Element) =>
  silent.has(node.localName) || node.getAttribute('aria-hidden') === 'true' || node.hasAttribute('hidden');
const isAddress = /^(?:https?:\/\/|mailto:)/i;

/** A table whose rows are records: several cells in a row, and no table or list in them. One that lays out a page is none. */
const isOfData = (table: Element) =>
  !table.querySelector('table, ul, ol, article') &&
  [...(table as HTMLTableElement).rows].filter(({ cells }) => cells.length > 1).length > 1;

/** Rows of a table, one line each with tabs between the cells, however many blocks a cell has. What they link to is a last column. */
function rowsOf(table: HTMLTableElement): string[] {
  const flat = (text: string | null) => (text ?? '').replaceAll(/\s+/g, ' ').trim();
  const rows = [...table.rows].map((row) => {
    const link = [...row.querySelectorAll('a[href]')].find((one) => isAddress.test(one.getAttribute('href')!));
    const address = link && !link.textContent?.includes('@') ? link.getAttribute('href')! : '';
    return { cells: [...row.cells].map(textOfCell).map(flat), isHead: !row.querySelector('td'), address };
  });
  const linked = rows.some(({ address }) => address);
  const width = Math.max(...rows.map(({ cells }) => cells.length));
  return rows.map(({ cells, isHead, address }) => {
    const missing = Array.from({ length: width - cells.length }, () => '');
    const last = isHead ? 'Link' : address.replace(/^mailto:/i, '');
    return [...cells, ...(linked ? [...missing, last] : [])].join('\t').trimEnd();
  });
}

/** What a cell shows, with a space where a line of it ends. */
function textOfCell(cell: Node): string {
  if (cell.nodeType === Node.TEXT_NODE) return cell.nodeValue ?? '';
  if (!(cell instanceof Element) || isSilent(cell)) return '';
  const text = [...cell.childNodes].map(textOfCell).join('');
  return lines.has(cell.localName) ? ` ${text} ` : text;
}

/**
 * The text of copied markup as a page shows it: each block on its own line, cells of a table apart by tabs, and each link
 * to a page followed by its address. The markup is read and never put into a page.
 */
export function textOfHtml(html: string): string {
  const out: string[] = [];
  const walk = (node: Node): void => {
    if (node.nodeType === Node.TEXT_NODE) {
      out.push((node.nodeValue ?? '').replaceAll(/\s+/g, ' '));
      return;
    }
    if (!(node instanceof Element)) return;
    const name = node.localName;
    if (isSilent(node)) return;
    if (name === 'table' && isOfData(node)) {
      out.push('\n', ...rowsOf(node as HTMLTableElement).map((row) => `${row}\n`), '\n');
      return;
    }
    const isLine = lines.has(name);
    if (isLine) out.push('\n');
    node.childNodes.forEach(walk);
    const address = name === 'a' ? (node.getAttribute('href') ?? '') : '';
    if (isAddress.test(address) && !node.textContent?.includes('@'))
      out.push(`\n${address.replace(/^mailto:/i, '')}\n`);
    if (name === 'td' || name === 'th') out.push('\t');
    if (isLine) out.push('\n');
  };
  const { body } = new DOMParser().parseFromString(html, 'text/html');
  body.childNodes.forEach(walk);
  return out
    .join('')
    .split('\n')
    .map((line) =>
      line
        .replace(/^ +/, '')
        .trimEnd()
        .replaceAll(/ ?\t ?/g, '\t')
    )
    .join('\n')
    .replaceAll(/\n{3,}/g, '\n\n')
    .trim();
}
