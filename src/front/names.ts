/** By which names and where the shop is reached, and how its connection is kept from others. */
import { X509Certificate } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { generate } from 'selfsigned';

type Env = Readonly<Record<string, string | undefined>>;

/** Only this machine can ask. */
export const isLoopback = (host: string): boolean => /^(localhost|127(\.\d+){3}|::1|\[::1\])$/i.test(host);
const LOCAL_NAMES = ['localhost', '127.0.0.1', '[::1]'];
const bracketed = (address: string) => (net.isIPv6(address) ? `[${address}]` : address).toLowerCase();

/** Every name that a request may give as its host. */
export function namesOf({ LOPREN_HOST = '127.0.0.1', LOPREN_NAMES = '' }: Env): Set<string> {
  const names = new Set([...LOCAL_NAMES, ...LOPREN_NAMES.split(',').map((one) => one.trim().toLowerCase())]);
  names.delete('');
  if (isLoopback(LOPREN_HOST)) return names;
  if (LOPREN_HOST !== '0.0.0.0' && LOPREN_HOST !== '::') return names.add(bracketed(LOPREN_HOST));
  const host = os.hostname().toLowerCase();
  for (const name of [host, `${host.split('.')[0]!}.local`]) names.add(name);
  for (const list of Object.values(os.networkInterfaces()))
    for (const { address } of list ?? []) names.add(bracketed(address));
  return names;
}

export interface Tls {
  readonly cert: Buffer;
  readonly key: Buffer;
  /** Of a certificate that was made here: to be compared by whoever opens the page first. */
  readonly fingerprint?: string;
}

const YEARS_MS = 3 * 365 * 86_400_000;

async function selfMade(folder: string, names: ReadonlySet<string>): Promise<Tls> {
  const [certFile, keyFile] = [path.join(folder, 'cert.pem'), path.join(folder, 'key.pem')];
  if (!fs.existsSync(certFile)) {
    const altNames = [...names].map((name) => {
      const bare = name.replace(/^\[|\]$/g, '');
      return net.isIP(bare) ? { type: 7 as const, ip: bare } : { type: 2 as const, value: bare };
    });
    const made = await generate([{ name: 'commonName', value: 'Lopren' }], {
      keySize: 2048,
      algorithm: 'sha256',
      notAfterDate: new Date(Date.now() + YEARS_MS),
      extensions: [{ name: 'subjectAltName', altNames }],
    });
    fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
    fs.writeFileSync(keyFile, made.private, { mode: 0o600 });
    fs.writeFileSync(certFile, made.cert, { mode: 0o600 });
  }
  const cert = fs.readFileSync(certFile);
  return { cert, key: fs.readFileSync(keyFile), fingerprint: new X509Certificate(cert).fingerprint256 };
}

/**
 * The certificate: the owner's own, or one that is made at the first start when other machines may ask; none on the
 * loopback address or behind a trusted proxy. Throws an Error with a sentence when half of it is missing.
 */
export async function tlsOf(env: Env, folder: string, names: ReadonlySet<string>): Promise<Tls | undefined> {
  const { LOPREN_TLS_CERT: cert, LOPREN_TLS_KEY: key, LOPREN_HOST: host = '127.0.0.1' } = env;
  if ((cert === undefined) !== (key === undefined))
    throw new Error('LOPREN_TLS_CERT and LOPREN_TLS_KEY belong together: set both, or neither.');
  if (cert !== undefined && key !== undefined) return { cert: fs.readFileSync(cert), key: fs.readFileSync(key) };
  if (isLoopback(host) || env.LOPREN_TRUSTED_PROXY) return undefined;
  return selfMade(path.join(folder, 'tls'), names);
}
