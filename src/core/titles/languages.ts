/** The languages of the lexicon, by their ISO 639-1 codes. */
export const languages = ['en', 'de', 'nl', 'da', 'sv', 'no', 'fr', 'es', 'pt', 'it', 'pl', 'fi', 'cs'] as const;
export type Language = (typeof languages)[number];
/** They as people call them. */
export const languageNames: Record<Language, string> = {
  en: 'English',
  de: 'German',
  nl: 'Dutch',
  da: 'Danish',
  sv: 'Swedish',
  no: 'Norwegian',
  fr: 'French',
  es: 'Spanish',
  pt: 'Portuguese',
  it: 'Italian',
  pl: 'Polish',
  fi: 'Finnish',
  cs: 'Czech'
};
