import { parsePhoneNumberFromString, type CountryCode } from 'libphonenumber-js/min';

/** A telephone number as ITU-T E.164 writes it, read by the country it is in; null for what is none. */
export function e164(text: string, country?: string): string | null {
  const number = parsePhoneNumberFromString(text, country ? { defaultCountry: country as CountryCode } : {});
  return number?.isPossible() ? number.number : null;
}
