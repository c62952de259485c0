/** Elements that begin a line of their own. */
const lines = new Set(
  'address article aside blockquote br button dd div dl dt figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr li main nav ol p section table tr ul'.split(
    ' '
  )
);
const silent = new Set(['script', 'style', 'template', 'noscript', 'svg', 'head']);

/**
 * The text of copied markup as a page shows it: blocks on lines of their own, cells of a table apart by tabs, and each link
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
    if (silent.has(name) || node.getAttribute('aria-hidden') === 'true' || node.hasAttribute('hidden')) return;
    const isLine = lines.has(name);
    if (isLine) out.push('\n');
    node.childNodes.forEach(walk);
    const address = name === 'a' ? (node.getAttribute('href') ?? '') : '';
    if (/^(?:https?:\/\/|mailto:)/i.test(address) && !node.textContent?.includes('@'))
      out.push(`\n${address.replace(/^mailto:/i, '')}\n`);
    if (name === 'td' || name === 'th') out.push('\t');
    if (isLine) out.push('\n');
  };
  const { body } = new DOMParser().parseFromString(html, 'text/html');
  body.childNodes.forEach(walk);
  return out
    .join('')
    .replaceAll(/[ \t]*\t[ \t]*(?=\n|$)/g, '')
    .replaceAll(/ ?\t ?/g, '\t')
    .replaceAll(/ *\n */g, '\n')
    .replaceAll(/\n{3,}/g, '\n\n')
    .trim();
}
