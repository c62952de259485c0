/** Hands a text or a picture to the browser to be saved as a file. */
export function saveFile(text: string | Blob, name: string, type: string): void {
  const blob = typeof text === 'string' ? new Blob([text], { type: `${type};charset=utf-8` }) : text;
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
