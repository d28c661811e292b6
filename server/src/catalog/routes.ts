import type { CatalogContext } from './context.ts';
import type { Mount } from '../http/index.ts';
import { mountChecklist } from './checklist.ts';
import { mountLists } from './lists.ts';
import { mountPreparation } from './preparation.ts';

export function mountCatalog(mount: Mount, context: CatalogContext): void {
  mountLists(mount, context);
  mountPreparation(mount, context);
  mountChecklist(mount, context);
}
