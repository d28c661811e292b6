import { resolve } from 'node:path';
import type { Plugin, Rollup } from 'vite';
import { generateSW } from 'workbox-build';

/** The page's entry, and what is fetched only when it is asked for: the device need not keep it. */
const ENTRY = 'station';
const ON_DEMAND = /BenchDrawer|CameraView|zxing/;

type Chunk = Rollup.OutputChunk & {
  readonly viteMetadata?: {
    readonly importedCss: ReadonlySet<string>;
    readonly importedAssets: ReadonlySet<string>;
  };
};

/** Makes the worker that keeps the station's shell on the device, so that the page opens without the server: just what
 *  that page is made of, and none of the desk. */
export function stationWorker(): Plugin {
  let shell: string[] = [];
  return {
    name: 'wergon-station-worker',
    apply: 'build',
    writeBundle(_options, bundle) {
      shell = [...filesOf(bundle)].filter((file) => !ON_DEMAND.test(file));
    },
    async closeBundle() {
      const dist = resolve(import.meta.dirname, 'dist');
      await generateSW({
        globDirectory: dist,
        globPatterns: ['station.html', 'station.webmanifest', 'mark.svg', ...shell],
        swDest: resolve(dist, 'station-worker.js'),
        navigateFallback: '/station.html',
        navigateFallbackAllowlist: [/^\/station$/],
        // A new version takes over as soon as it is there: the page reloads itself while nobody stands at it.
        skipWaiting: true,
        clientsClaim: true,
        inlineWorkboxRuntime: true,
        sourcemap: false,
      });
    },
  };
}

/** Every file that the station's page needs from its first moment, fonts included. */
function filesOf(bundle: Rollup.OutputBundle): Set<string> {
  const files = new Set<string>();
  const add = (name: string) => {
    const file = bundle[name];
    if (!file || files.has(name)) return;
    files.add(name);
    if (file.type !== 'chunk') return;
    const { imports, viteMetadata } = file as Chunk;
    for (const each of [
      ...imports,
      ...(viteMetadata?.importedCss ?? []),
      ...(viteMetadata?.importedAssets ?? []),
    ])
      add(each);
  };
  const entry = Object.values(bundle).find(
    (file) => file.type === 'chunk' && file.isEntry && file.name === ENTRY,
  );
  if (entry) add(entry.fileName);
  for (const name of Object.keys(bundle))
    if (/atkinson.*latin-wght-normal.*\.woff2$/.test(name)) files.add(name);
  return files;
}
