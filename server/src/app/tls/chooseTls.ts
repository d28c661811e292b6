import { readFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { dirname, join } from 'node:path';
import type { Config } from '../config.ts';
import type { Certificate } from './authority.ts';

/** How the server speaks: in the clear (to this machine only, or behind a proxy that does the rest), or with a
 *  certificate; `root` is what devices must trust where the certificate is our own. */
export type Tls =
  { readonly kind: 'none' } | (Certificate & { readonly kind: 'tls'; readonly root: string | null });

const LOOPBACK: readonly string[] = ['127.0.0.1', '::1', 'localhost'];

/** Chooses by what the environment says. Beyond loopback nothing is ever spoken in the clear, but to a proxy. */
export async function chooseTls(config: Config): Promise<Tls> {
  const { certPath, keyPath } = config;
  if (certPath !== undefined && keyPath !== undefined)
    return {
      kind: 'tls',
      cert: readFileSync(certPath, 'utf8'),
      key: readFileSync(keyPath, 'utf8'),
      root: null,
    };
  if (LOOPBACK.includes(config.host) || config.isBehindProxy) return { kind: 'none' };
  const folder = join(dirname(config.databasePath), 'tls');
  // Only loaded where it is needed: it takes as long as the tenth part of a start.
  const { openLocalAuthority } = await import('./authority.ts');
  const { root, cert, key } = await openLocalAuthority(folder, namesOf(config));
  return { kind: 'tls', cert, key, root };
}

/** Every name and address by which this machine may be called. */
function namesOf({ names, host }: Config): string[] {
  const addresses = Object.values(networkInterfaces()).flatMap((each) =>
    (each ?? []).map(({ address }) => address),
  );
  const listened = host === '0.0.0.0' || host === '::' ? [] : [host];
  // An address that holds for one link only is no name for a certificate.
  const usable = addresses.filter((address) => !address.includes('%') && !address.startsWith('fe80'));
  return [...new Set([...names, hostname(), 'localhost', ...listened, ...usable])];
}
