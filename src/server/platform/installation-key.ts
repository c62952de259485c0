import { createCipheriv, createDecipheriv, createHash, createHmac, randomBytes } from 'node:crypto';
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { environment } from './environment';
import { Refusal } from './refusal';
import { refuse } from './refusals';

let known: Promise<Buffer> | undefined;

/** The key of this installation: out of the settings, or of a file for its user alone that is made at the first need. */
const installationKey = (): Promise<Buffer> => (known ??= readKey());

async function readKey(): Promise<Buffer> {
  const { secret, data } = environment();
  if (secret) return createHash('sha256').update(secret).digest();
  const file = join(data, 'installation-key');
  await mkdir(dirname(file), { recursive: true, mode: 0o700 });
  // Two servers that start at once agree on the key that was written first.
  await writeFile(file, randomBytes(32).toString('base64'), { flag: 'wx', mode: 0o600 }).catch((error: Error) => {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  });
  const key = Buffer.from(await readFile(file, 'utf8'), 'base64');
  if (key.length !== 32) {
    known = undefined;
    throw refuse('installation-key-damaged', file);
  }
  return key;
}

/** A key for one use, derived from that of the installation, so that one use tells nothing of another. */
export const installationSecret = async (use: string): Promise<Buffer> =>
  createHmac('sha256', await installationKey())
    .update(use)
    .digest();

/** Encrypts a secret for the database (AES-256-GCM, NIST SP 800-38D): `v1.nonce.tag.text`, in base64url. `of` binds it to what it belongs to. */
export async function seal(secret: string, of: string): Promise<string> {
  const nonce = randomBytes(12);
  const cipher = createCipheriv('aes-256-gcm', await installationKey(), nonce);
  cipher.setAAD(Buffer.from(of));
  const text = Buffer.concat([cipher.update(secret, 'utf8'), cipher.final()]);
  return ['v1', ...[nonce, cipher.getAuthTag(), text].map((part) => part.toString('base64url'))].join('.');
}

/** The secret again. Refuses where it was encrypted by another installation, for something else, or changed since. */
export async function unseal(sealed: string, of: string): Promise<string> {
  const [version, nonce, tag, text] = sealed.split('.').map((part, i) => (i ? Buffer.from(part, 'base64url') : part));
  try {
    if (version !== 'v1') throw new Error('another way of encrypting');
    const decipher = createDecipheriv('aes-256-gcm', await installationKey(), nonce as Buffer, { authTagLength: 16 });
    decipher.setAAD(Buffer.from(of));
    decipher.setAuthTag(tag as Buffer);
    return Buffer.concat([decipher.update(text as Buffer), decipher.final()]).toString('utf8');
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw refuse('service-key-unreadable');
  }
}
