import { ROUTES } from '@wergon/contract/routes';
import type { Mount } from '../http/mount.ts';
import type { Context } from './context.ts';
import { mountAll } from './mountAll.ts';
import { openTestShop } from './testShop.fixture.ts';

test('each route of the contract is mounted, and none of them twice', async () => {
  const shop = await openTestShop();
  const mounted: string[] = [];
  const collect: Mount = (name) => mounted.push(name);
  const context: Context = shop.context;
  mountAll(collect, context);
  await shop.close();
  expect([...mounted].sort()).toEqual(Object.keys(ROUTES).sort());
});
