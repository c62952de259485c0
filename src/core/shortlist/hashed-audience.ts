import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { isMail } from '../people/contact-keys';
import { e164 } from '../people/telephone';
import { readMail } from './mail-address';

/** SHA-256 (FIPS 180-4) of a text in UTF-8, as 64 hexadecimal digits in small letters. */
export const sha256Hex = (text: string): string => bytesToHex(sha256(utf8ToBytes(text)));

/**
 * A mail address or telephone number as it is hashed: an address trimmed, NFKC, in small letters; a number in E.164 with
 * its plus. Null where it is neither: such a line is left out and counted.
 */
export function normalContact(text: string, country?: string): string | null {
  if (isMail(text.trim())) {
    const { address, wellFormed } = readMail(text);
    return wellFormed ? address : null;
  }
  return e164(text, country);
}

/** What is handed over in place of a contact: the hash of it, behind a salt where one is asked. */
export const hashedContact = (normal: string, salt = ''): string => sha256Hex(salt + normal);
