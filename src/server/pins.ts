/** PINs are short, so their hash is slow (scrypt) and wrong guesses lock the name for a while. */
import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 2 ** 20 };
const derive = (pin: string, salt: Buffer) =>
  new Promise<Buffer>((resolve, reject) =>
    scrypt(pin, salt, 32, COST, (error, key) => (error ? reject(error) : resolve(key))),
  );

export async function hashPin(pin: string): Promise<string> {
  const salt = randomBytes(16);
  return `scrypt$${salt.toString('base64')}$${(await derive(pin, salt)).toString('base64')}`;
}

export async function pinFits(pin: string, hash: string): Promise<boolean> {
  const [, salt = '', key = ''] = hash.split('$');
  const wanted = Buffer.from(key, 'base64');
  const found = await derive(pin, Buffer.from(salt, 'base64'));
  return wanted.length === found.length && timingSafeEqual(wanted, found);
}
