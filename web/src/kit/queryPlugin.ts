import { VueQueryPlugin } from '@tanstack/vue-query';
import type { Plugin } from 'vue';

/** How answers of the server are kept and asked for again, on every page. */
export const queryPlugin: Plugin = {
  install: (app) =>
    app.use(VueQueryPlugin, {
      queryClientConfig: { defaultOptions: { queries: { retry: 1, staleTime: 5_000 } } },
    }),
};
