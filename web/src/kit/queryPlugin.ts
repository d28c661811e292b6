import { MutationCache, QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import type { Plugin } from 'vue';

/** How answers of the server are kept and asked for again, on every page: after a change, all that is shown. */
export const queryPlugin: Plugin = {
  install: (app) => {
    const client: QueryClient = new QueryClient({
      defaultOptions: { queries: { retry: 1, staleTime: 5_000 } },
      mutationCache: new MutationCache({ onSuccess: () => client.invalidateQueries() }),
    });
    app.use(VueQueryPlugin, { queryClient: client });
  },
};
