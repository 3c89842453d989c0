import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { writeWhole } from '../db/wholeFile.js';

const DAY = 86_400_000;
/** Days for which it is made, the most that browsers take, and days before its end when it is made anew. */
const [DAYS, ANEW] = [820, 30];
/** Only the maker's own account reads the key. */
const OWN_EYES = 0o600;

export interface Certificate {
  /** PEM */
  readonly key: string;
  readonly cert: string;
  /** SHA-256, `AB:CD:…`, as browsers show it */
  readonly fingerprint: string;
}

/** Names of this computer on its own network. */
export function ownNames(): string[] {
  const name = hostname().toLowerCase();
  return name.endsWith('.local') ? [name] : [name, `${name}.local`];
}

async function make(addresses: readonly string[], now: Date): Promise<{ key: string; cert: string }> {
  // loaded for the one time that a certificate is made
  const { generate } = await import('selfsigned');
  const made = await generate([{ name: 'commonName', value: 'Sledge' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: now,
    notAfterDate: new Date(now.getTime() + DAYS * DAY),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...ownNames().map((value) => ({ type: 2 as const, value })),
          ...addresses.map((ip) => ({ type: 7 as const, ip })),
        ],
      },
    ],
  });
  return { key: made.private, cert: made.cert };
}

/** What lies there, where it can be read and does not end soon. */
function kept(keyFile: string, certFile: string, now: Date): Certificate | null {
  if (!existsSync(keyFile) || !existsSync(certFile)) return null;
  const [key, cert] = [readFileSync(keyFile, 'utf8'), readFileSync(certFile, 'utf8')];
  try {
    const known = new X509Certificate(cert);
    if (Date.parse(known.validTo) - now.getTime() < ANEW * DAY) return null;
    return { key, cert, fingerprint: known.fingerprint256 };
  } catch {
    // half written, or somebody's hand: it is made anew
    return null;
  }
}

/**
 * The certificate of this Sledge. It is made once, and anew shortly before it ends.
 * @param folder where it is kept
 * @param addresses of this computer on its networks, to be named in it
 */
export async function certificateIn(
  folder: string,
  addresses: readonly string[],
  now = new Date(),
): Promise<Certificate> {
  const [keyFile, certFile] = [join(folder, 'key.pem'), join(folder, 'certificate.pem')];
  const there = kept(keyFile, certFile, now);
  if (there) return there;
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const { key, cert } = await make(addresses, now);
  writeWhole(keyFile, key, OWN_EYES);
  writeWhole(certFile, cert, OWN_EYES);
  return { key, cert, fingerprint: new X509Certificate(cert).fingerprint256 };
}
