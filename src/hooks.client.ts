import type { ClientInit } from '@sveltejs/kit';
import { chosenLanguage, speak, type Language } from '$lib/words/catalogue';

const languages = import.meta.glob<{ default: Language }>('./lib/words/languages/*.ts');

/** Loads the language that was chosen in this browser, where it is not English, before the first page is shown. */
export const init: ClientInit = async () => {
  const load = languages[`./lib/words/languages/${chosenLanguage()}.ts`];
  if (load) speak((await load()).default);
};
