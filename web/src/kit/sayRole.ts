import { sayTerm } from '../words/index.ts';

/** What a role is called: by the shop, or, of those that come with Wergon, in the language of the page. */
export const sayRole = ({ id, name }: { readonly id: string; readonly name: string | null }): string =>
  name ?? sayTerm('roles', id);
