/** What was done, said for a while in the corner of the screen: for what has its effect on another screen. */
export interface Toast {
  id: number;
  text: string;
  /** Where its effect is to be seen. */
  link: { href: string; text: string } | null;
}

const maxAtOnce = 3;
let next = 0;

export const toasts: { shown: Toast[] } = $state({ shown: [] });

export function toast(text: string, link: Toast['link'] = null): void {
  toasts.shown = [...toasts.shown.filter((one) => one.text !== text), { id: next++, text, link }].slice(-maxAtOnce);
}

export function dismiss(id: number): void {
  toasts.shown = toasts.shown.filter((one) => one.id !== id);
}
