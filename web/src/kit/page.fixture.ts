import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import { flushPromises, mount } from '@vue/test-utils';
import { h } from 'vue';
import type { Component } from 'vue';
import { RouterView, createMemoryHistory, createRouter } from 'vue-router';

/** A page as it stands in the desk, behind a router that knows other pages by their names and paths; the frame around it
 *  is left out. `params` are what its own address names. */
export async function openPage(
  component: Component,
  others: Readonly<Record<string, string>> = {},
  params: Readonly<Record<string, string>> = {},
) {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      {
        path: `/${Object.keys(params)
          .map((name) => `:${name}`)
          .join('/')}`,
        name: 'this',
        component,
      },
      ...Object.entries(others).map(([name, path]) => ({ path, name, component: { render: () => null } })),
    ],
  });
  await router.push({ name: 'this', params });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } });
  const page = mount(
    { render: () => h(RouterView) },
    {
      global: {
        plugins: [router, [VueQueryPlugin, { queryClient: client }]],
        stubs: {
          ShopLayout: { template: '<main><slot /></main>' },
          DeskFrame: { props: ['lead'], template: '<main>{{ lead }}<slot name="ruler" /><slot /></main>' },
          ReconcileTabs: true,
        },
      },
    },
  );
  await flushPromises();
  /** Presses a button by its words. */
  const press = async (words: string, within = page.element) => {
    const button = page
      .findAll('button')
      .filter((each) => within.contains(each.element))
      .find((each) => each.text() === words);
    if (!button) throw new Error(`no button “${words}”`);
    await button.trigger('click');
    await flushPromises();
  };
  /** A field by the words of its label. */
  const field = (label: string) => {
    const found = page.findAll('label').find((each) => each.text() === label);
    return page.get(`[id="${found?.attributes('for') ?? ''}"]`);
  };
  /** The cells of each row of the first table. */
  const cells = () => page.findAll('tbody tr').map((row) => row.findAll('th, td').map((cell) => cell.text()));
  return { page, router, client, press, field, cells };
}
