import { createPrivateKey, X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { explain, Refusal } from './say.mjs';
import { ANY, writeForOwner } from './server.mjs';
import { DATA } from './setup.mjs';

/**
 * A certificate for a network that has no names: an authority of this folder's own signs one for the addresses that this machine has today. A phone that
 * trusts the authority once needs not be asked again at the next venue.
 */

const FOLDER = join(DATA, 'tls');
const DAY = 86_400_000;
/** An authority is trusted by hand, once; what it signs is accepted by phones for 397 days at most. */
const AUTHORITY_DAYS = 3650;
const SIGNED_DAYS = 397;
/** One that ends within this is made anew. */
const LEFT_DAYS = 30;

/** Addresses of this machine on its networks, those of version 4 first. */
const outside = () =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => !a.internal && !(a.family === 'IPv6' && a.address.startsWith('fe80')))
    .sort((a, b) => (a.family < b.family ? -1 : 1))
    .map((a) => a.address);

/** Addresses that others reach a server on this host by. */
export const addressesOf = (host) => (ANY.includes(host) ? outside() : [host]);

/** Names that it is reached by, from here and from elsewhere. */
const namesFor = (host) => [...new Set([...addressesOf(host), '127.0.0.1', 'localhost', hostname().toLowerCase()])];

/**
 * Key and certificate to serve a host with: those of TLS_KEY and TLS_CERT, or ones made here. Throws Refusal.
 * @returns texts in PEM; `authority` is what a phone may trust, null for certificates of one's own
 */
export async function certificateFor(host) {
  const { TLS_KEY: keyFile, TLS_CERT: certFile } = process.env;
  if (keyFile || certFile) {
    if (!keyFile || !certFile)
      throw new Refusal('TLS_KEY and TLS_CERT go together: the files of a key and of its certificate.');
    const [key, cert] = [keyFile, certFile].map(read);
    fits(key, cert, certFile);
    return { key, cert, authority: null };
  }
  try {
    mkdirSync(FOLDER, { recursive: true, mode: 0o700 });
    const authority = await kept('authority', (cert) => isFresh(cert), makeAuthority);
    const names = namesFor(host);
    const own = await kept(
      'server',
      (cert) => isFresh(cert) && isFor(cert, names) && cert.verify(new X509Certificate(authority.cert).publicKey),
      () => sign(names, authority)
    );
    return { key: own.key, cert: `${own.cert}\n${authority.cert}`, authority: authority.cert };
  } catch (error) {
    throw error.code ? explain(error, FOLDER) : error;
  }
}

/** Fingerprint of a certificate, SHA-256, as phones show it. */
export const fingerprintOf = (pem) => new X509Certificate(pem).fingerprint256;

function read(file) {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    throw new Refusal(`${file} cannot be read: see TLS_KEY and TLS_CERT.`);
  }
}

function fits(key, cert, file) {
  try {
    if (new X509Certificate(cert).checkPrivateKey(createPrivateKey(key))) return;
  } catch {
    // Told below: neither is what it should be, or they belong to others.
  }
  throw new Refusal(`${file} is no certificate for the key in TLS_KEY.`);
}

const isFresh = (cert) => new Date(cert.validTo).getTime() - Date.now() > LEFT_DAYS * DAY;
const isFor = (cert, names) =>
  names.every((name) => (isIP(name) ? cert.checkIP(name) : cert.checkHost(name)) !== undefined);

/** What is kept in the folder as long as it does; made where it is missing. */
async function kept(name, does, make) {
  const [keyFile, certFile] = ['key', 'crt'].map((end) => join(FOLDER, `${name}.${end}`));
  if (existsSync(keyFile) && existsSync(certFile)) {
    const cert = readFileSync(certFile, 'utf8');
    try {
      if (does(new X509Certificate(cert))) return { key: readFileSync(keyFile, 'utf8'), cert };
    } catch {
      // Half written, or something else: made anew.
    }
  }
  const made = await make();
  writeForOwner(keyFile, made.key);
  writeForOwner(certFile, made.cert);
  return made;
}

async function make(commonName, days, rest) {
  const { generate } = await import('selfsigned');
  const from = new Date(Date.now() - DAY);
  const made = await generate([{ name: 'commonName', value: commonName }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: from,
    notAfterDate: new Date(from.getTime() + days * DAY),
    ...rest
  });
  return { key: made.private, cert: made.cert };
}

const makeAuthority = () =>
  make(`Guanxi on ${hostname()}`, AUTHORITY_DAYS, {
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true }
    ]
  });

const sign = (names, authority) =>
  make('Guanxi', SIGNED_DAYS, {
    ca: authority,
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) => (isIP(name) ? { type: 7, ip: name } : { type: 2, value: name }))
      }
    ]
  });
