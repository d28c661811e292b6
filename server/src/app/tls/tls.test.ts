import { X509Certificate } from 'node:crypto';
import { mkdtempSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig } from '../config.ts';
import { openLocalAuthority } from './authority.ts';
import { chooseTls } from './chooseTls.ts';

const folder = () => mkdtempSync(join(tmpdir(), 'wergon-tls-'));
const NAMES = ['shop.test', '192.168.7.3'];

test('a shop’s own authority vouches for every name of its server, and for no other', async () => {
  const { root, cert } = await openLocalAuthority(folder(), NAMES);
  const server = new X509Certificate(cert);
  expect(server.verify(new X509Certificate(root).publicKey)).toBe(true);
  expect(server.checkHost('shop.test')).toBe('shop.test');
  expect(server.checkIP('192.168.7.3')).toBe('192.168.7.3');
  expect(server.checkHost('other.test')).toBeUndefined();
  expect(new X509Certificate(root).ca).toBe(true);
});

test('devices trust the same root after a restart, even if the server has a new name', async () => {
  const at = folder();
  const first = await openLocalAuthority(at, NAMES);
  const again = await openLocalAuthority(at, NAMES);
  const renamed = await openLocalAuthority(at, [...NAMES, 'new.test']);
  expect(again).toEqual(first);
  expect(renamed.root).toBe(first.root);
  expect(new X509Certificate(renamed.cert).checkHost('new.test')).toBe('new.test');
});

test('keys can be read by nobody but the server', async () => {
  const at = folder();
  await openLocalAuthority(at, NAMES);
  for (const name of ['root.key', 'server.key']) expect(statSync(join(at, name)).mode & 0o077).toBe(0);
});

test.each<[env: NodeJS.ProcessEnv, kind: string, why: string]>([
  [{}, 'none', 'on this machine nothing leaves it'],
  [{ WERGON_HOST: '0.0.0.0', WERGON_PROXY: '1' }, 'none', 'a proxy does it'],
  [{ WERGON_HOST: '0.0.0.0' }, 'tls', 'beyond loopback nothing is in the clear'],
])('%j speaks %s: %s', async (env, kind) => {
  const config = readConfig({ ...env, WERGON_DATABASE: join(folder(), 'shop.sqlite') }, '/');
  expect((await chooseTls(config)).kind).toBe(kind);
});

test('a certificate of one’s own is used, and then no root is offered', async () => {
  const at = folder();
  const { cert, key } = await openLocalAuthority(at, NAMES);
  for (const [name, text] of [
    ['own.crt', cert],
    ['own.key', key],
  ] as const)
    writeFileSync(join(at, name), text);
  const env = { WERGON_CERT: join(at, 'own.crt'), WERGON_KEY: join(at, 'own.key'), WERGON_HOST: '0.0.0.0' };
  expect(await chooseTls(readConfig(env, '/'))).toEqual({ kind: 'tls', cert, key, root: null });
});

test('half a certificate is refused by name', () => {
  expect(() => readConfig({ WERGON_CERT: '/a.crt' }, '/')).toThrow('WERGON_KEY');
});
