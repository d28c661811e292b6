import 'reflect-metadata';
import { webcrypto } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import * as x509 from '@peculiar/x509';

// The library's types are those of browsers; Node's own cryptography is the same thing.
x509.cryptoProvider.set(webcrypto as unknown as Parameters<typeof x509.cryptoProvider.set>[0]);

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 86_400_000;
/** Ten years; the devices of a shop trust it once. */
const ROOT_DAYS = 3650;
/** What browsers still accept of a certificate. */
const SERVER_DAYS = 397;
/** So long before its end a certificate is made anew at the next start. */
const RENEW_DAYS = 60;

/** A certificate with its key, as PEM. */
export type Certificate = { readonly cert: string; readonly key: string };

/** A certificate for the server's names, and the root that devices are told to trust. */
export type LocalAuthority = Certificate & { readonly root: string };

/** Makes an authority of this shop's own at first run, kept beside its database, and a certificate for the names by
 *  which the server is called; a browser takes no camera and keeps no shell without one. */
export async function openLocalAuthority(folder: string, names: readonly string[]): Promise<LocalAuthority> {
  mkdirSync(folder, { recursive: true });
  const file = (name: string) => join(folder, name);
  const read = (name: string) => readFileSync(file(name), 'utf8');
  if (!existsSync(file('root.crt'))) {
    const { cert, key } = await makeRoot();
    keep(file('root.key'), key);
    keep(file('root.crt'), cert);
  }
  const root = read('root.crt');
  if (!existsSync(file('server.crt')) || !isStillGood(read('server.crt'), names)) {
    const { cert, key } = await makeServer({ cert: root, key: read('root.key') }, names);
    keep(file('server.key'), key);
    keep(file('server.crt'), cert);
  }
  return { root, cert: `${read('server.crt')}\n${root}`, key: read('server.key') };
}

/** Keys are for nobody but the server. */
function keep(path: string, text: string): void {
  writeFileSync(path, text, { mode: 0o600 });
  chmodSync(path, 0o600);
}

const until = (days: number) => ({
  notBefore: new Date(Date.now() - DAY_MS),
  notAfter: new Date(Date.now() + days * DAY_MS),
});

const drawSerial = (): string => Buffer.from(webcrypto.getRandomValues(new Uint8Array(16))).toString('hex');

const newKeys = () => webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);

async function writeKey(key: webcrypto.CryptoKey): Promise<string> {
  const bytes = await webcrypto.subtle.exportKey('pkcs8', key);
  return x509.PemConverter.encode(bytes, 'PRIVATE KEY');
}

async function makeRoot(): Promise<Certificate> {
  const keys = await newKeys();
  const made = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: drawSerial(),
    name: 'CN=Wergon local authority',
    ...until(ROOT_DAYS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { cert: made.toString('pem'), key: await writeKey(keys.privateKey) };
}

async function makeServer(root: Certificate, names: readonly string[]): Promise<Certificate> {
  const issuer = new x509.X509Certificate(root.cert);
  const signingKey = await webcrypto.subtle.importKey(
    'pkcs8',
    x509.PemConverter.decodeFirst(root.key),
    ALGORITHM,
    false,
    ['sign'],
  );
  const keys = await newKeys();
  const made = await x509.X509CertificateGenerator.create({
    serialNumber: drawSerial(),
    subject: `CN=${names[0] ?? 'localhost'}`,
    issuer: issuer.subject,
    ...until(SERVER_DAYS),
    signingAlgorithm: ALGORITHM,
    signingKey,
    publicKey: keys.publicKey,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey),
    ],
  });
  return { cert: made.toString('pem'), key: await writeKey(keys.privateKey) };
}

function isStillGood(pem: string, names: readonly string[]): boolean {
  const cert = new x509.X509Certificate(pem);
  const known = cert.getExtension(x509.SubjectAlternativeNameExtension)?.names.items ?? [];
  const own = new Set(known.map(({ value }) => value));
  return names.every((name) => own.has(name)) && cert.notAfter.getTime() - Date.now() > RENEW_DAYS * DAY_MS;
}
