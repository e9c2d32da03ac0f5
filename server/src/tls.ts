import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { generate } from 'selfsigned';

export interface Certificate {
  cert: string;
  key: string;
  /** made here: browsers warn of it once, and are not told to insist on it */
  own: boolean;
}

/** A certificate made here is good for so many days. */
const days = 397;

/**
 * The certificate to speak TLS with: a given one, or one made for this machine's names and addresses in the
 * clinic's network and kept for the next start.
 * @param settings ESTRIBO_TLS: 'off', 'own', or the folder's files by ESTRIBO_TLS_CERT and ESTRIBO_TLS_KEY
 * @param folder where one made here is kept
 * @returns undefined when TLS is off
 */
export async function certificateFor(
  { tls, cert, key }: { tls: string | undefined; cert: string | undefined; key: string | undefined },
  folder: string,
  now: Date,
): Promise<Certificate | undefined> {
  if (cert !== undefined && key !== undefined)
    return { cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8'), own: false };
  if (tls !== 'own') return undefined;
  const files = { cert: join(folder, 'cert.pem'), key: join(folder, 'key.pem') };
  const names = ['localhost', hostname()];
  const addresses = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .map(({ address }) => address.split('%')[0]!);
  if (existsSync(files.cert) && existsSync(files.key)) {
    const kept = new X509Certificate(readFileSync(files.cert));
    const covers = addresses.every((address) => kept.checkIP(address) !== undefined);
    if (covers && Date.parse(kept.validTo) > now.getTime() + 7 * 86_400_000)
      return { cert: readFileSync(files.cert, 'utf8'), key: readFileSync(files.key, 'utf8'), own: true };
  }
  const made = await generate([{ name: 'commonName', value: hostname() }], {
    keySize: 2048,
    algorithm: 'sha256',
    notBeforeDate: now,
    notAfterDate: new Date(now.getTime() + days * 86_400_000),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, keyEncipherment: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...names.map((value) => ({ type: 2 as const, value })),
          ...addresses.map((ip) => ({ type: 7 as const, ip })),
        ],
      },
    ],
  });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(files.cert, made.cert);
  writeFileSync(files.key, made.private, { mode: 0o600 });
  return { cert: made.cert, key: made.private, own: true };
}
