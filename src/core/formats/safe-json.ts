/** Whether a JSON text opens more lists and objects inside one another than so many. Linear, and without parsing. */
export function isDeep(text: string, most: number): boolean {
  let depth = 0;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code === 0x22) {
      // A string ends at the next quote that no backslash stands before.
      for (at++; at < text.length && text.charCodeAt(at) !== 0x22; at++) if (text.charCodeAt(at) === 0x5c) at++;
    } else if (code === 0x5b || code === 0x7b) {
      if (++depth > most) return true;
    } else if (code === 0x5d || code === 0x7d) depth--;
  }
  return false;
}

const halfSign = /\\u[dD][89a-fA-F]/;

/**
 * JSON read. Halves of a sign that are written as escapes, as in a text that was cut in the middle of one, are replaced:
 * PostgreSQL cannot keep them. Text that was decoded from bytes has no others.
 */
export const parseWellFormed = (text: string): unknown =>
  halfSign.test(text)
    ? JSON.parse(text, (_, value: unknown) => (typeof value === 'string' ? value.toWellFormed() : value))
    : JSON.parse(text);

const zero = /\\u0000|\0/;

/** JSON read as `parseWellFormed` does, without the character zero in texts and keys, which PostgreSQL cannot keep either. */
export function parseWithoutZero(text: string): unknown {
  if (!zero.test(text)) return parseWellFormed(text);
  return JSON.parse(text, function (this: unknown, key, given: unknown) {
    const value = typeof given === 'string' ? given.replaceAll('\0', '').toWellFormed() : given;
    if (!key.includes('\0')) return value;
    // Undefined takes the property away (ECMA-262, 25.5.1.1).
    (this as Record<string, unknown>)[key.replaceAll('\0', '')] = value;
    return undefined;
  });
}
