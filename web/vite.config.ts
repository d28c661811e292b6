import vue from '@vitejs/plugin-vue';
import { resolve } from 'node:path';
import { defineConfig } from 'vite';
import { serviceWorkerPlugin } from './serviceWorkerPlugin.ts';

const page = (name: string) => resolve(import.meta.dirname, name);

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    vue(),
    serviceWorkerPlugin({
      entry: 'station',
      onDemand: /BenchDrawer|CameraView|zxing/,
      later: /(CrewView|KindsView|OwnTimeView|TaskPapersView|WriteDownView)-.*\.js$/,
      also: ['station.webmanifest'],
    }),
    serviceWorkerPlugin({ entry: 'wall' }),
  ],
  // Of the words' library only what is used.
  define: {
    __VUE_I18N_LEGACY_API__: false,
    __VUE_I18N_FULL_INSTALL__: false,
    __INTLIFY_PROD_DEVTOOLS__: false,
  },
  build: {
    target: 'es2023',
    // Small files stay files: the content policy allows no inline scripts, and fonts are cached on their own.
    assetsInlineLimit: 0,
    rollupOptions: {
      input: {
        desk: page('index.html'),
        station: page('station.html'),
        wall: page('wall.html'),
        yardsticks: page('yardsticks.html'),
      },
    },
  },
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import', 'if-function'] } } },
  server: { proxy: { '/api': 'http://127.0.0.1:7400' } },
});
