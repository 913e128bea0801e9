import { closeSync, createReadStream, createWriteStream, openSync, readSync } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Trouble } from './say.mjs';

/** The first line of a file in the open age format (age-encryption.org/v1). */
const SEALED = 'age-encryption.org/v1';
const SHORTEST = 12;

/** Returns the passphrase for backups that the environment names; undefined where it names none. */
export function passphrase() {
  const given = process.env.OAK_BACKUP_PASSPHRASE;
  if (given === undefined || given === '') return undefined;
  if (given.length < SHORTEST) throw new Trouble(`OAK_BACKUP_PASSPHRASE needs at least ${SHORTEST} characters.`);
  return given;
}

/** Encrypts a file with a passphrase; the program `age` can read it too. */
export async function seal(from, to, words) {
  const { Encrypter } = await import('age-encryption');
  const encrypter = new Encrypter();
  encrypter.setPassphrase(words);
  await written(await encrypter.encrypt(Readable.toWeb(createReadStream(from))), to);
}

/** Returns whether a file is encrypted. */
export function isSealed(file) {
  const start = Buffer.alloc(SEALED.length);
  const opened = openSync(file, 'r');
  readSync(opened, start);
  closeSync(opened);
  return start.toString() === SEALED;
}

/** Decrypts a file. */
export async function unseal(from, to) {
  const words = passphrase();
  if (!words) throw new Trouble(`${from} is encrypted. Set OAK_BACKUP_PASSPHRASE to its passphrase.`);
  const { Decrypter } = await import('age-encryption');
  const decrypter = new Decrypter();
  decrypter.addPassphrase(words);
  try {
    await written(await decrypter.decrypt(Readable.toWeb(createReadStream(from))), to);
  } catch {
    throw new Trouble(`${from} cannot be decrypted: the passphrase is wrong, or the file is damaged.`);
  }
}

const written = (stream, to) => pipeline(Readable.fromWeb(stream), createWriteStream(to, { mode: 0o600 }));
