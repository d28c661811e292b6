import { resolve } from 'node:path';
import type { Plugin, Rollup } from 'vite';
import { generateSW } from 'workbox-build';

type Kept = {
  /** The page's entry, its address and the name of its worker. */
  readonly entry: string;
  /** What is fetched only when it is asked for: the device need not keep it. */
  readonly onDemand?: RegExp;
  /** What is fetched only when it is asked for, and must be there without the server all the same. */
  readonly later?: RegExp;
  /** Files beside those that the page is built of. */
  readonly also?: readonly string[];
};

type Chunk = Rollup.OutputChunk & {
  readonly viteMetadata?: {
    readonly importedCss: ReadonlySet<string>;
    readonly importedAssets: ReadonlySet<string>;
  };
};

/** Makes the worker that keeps a page's shell on the device, so that it opens without the server: just what that page
 *  is made of, and none of the others. */
export function serviceWorkerPlugin({ entry, onDemand, later, also = [] }: Kept): Plugin {
  let shell: string[] = [];
  return {
    name: `wergon-${entry}-worker`,
    apply: 'build',
    writeBundle(_options, bundle) {
      shell = [...filesOf(bundle, entry, later)].filter((file) => !onDemand?.test(file));
    },
    async closeBundle() {
      const dist = resolve(import.meta.dirname, 'dist');
      await generateSW({
        globDirectory: dist,
        globPatterns: [`${entry}.html`, 'mark.svg', ...also, ...shell],
        swDest: resolve(dist, `${entry}-worker.js`),
        navigateFallback: `/${entry}.html`,
        navigateFallbackAllowlist: [new RegExp(`^/${entry}(\\?|$)`)],
        // A new version takes over as soon as it is there: the page reloads itself while nobody needs it.
        skipWaiting: true,
        clientsClaim: true,
        inlineWorkboxRuntime: true,
        sourcemap: false,
      });
    },
  };
}

/** Every file that a page needs from its first moment, fonts included, and what it may need later. */
function filesOf(bundle: Rollup.OutputBundle, entry: string, later: RegExp | undefined): Set<string> {
  const files = new Set<string>();
  const add = (name: string) => {
    const file = bundle[name];
    if (!file || files.has(name)) return;
    files.add(name);
    if (file.type !== 'chunk') return;
    const { imports, dynamicImports, isEntry, moduleIds, viteMetadata } = file as Chunk;
    // The page itself is loaded once its language is known, and so are the words of that language.
    const isAwaited = isEntry || moduleIds.some((id) => id.endsWith('/words/atDesk.ts'));
    for (const each of [
      ...imports,
      ...(isAwaited ? dynamicImports : []),
      ...(viteMetadata?.importedCss ?? []),
      ...(viteMetadata?.importedAssets ?? []),
    ])
      add(each);
  };
  const first = Object.values(bundle).find(
    (file) => file.type === 'chunk' && file.isEntry && file.name === entry,
  );
  if (first) add(first.fileName);
  for (const name of Object.keys(bundle)) if (later?.test(name)) add(name);
  for (const name of Object.keys(bundle))
    if (/atkinson.*latin-wght-normal.*\.woff2$/.test(name)) files.add(name);
  return files;
}
