/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { signIn } from '../kit/desk.fixture.ts';
import { server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import LabelsPage from './LabelsPage.vue';

const drawn: { job: { kind: string; cells: object[] } }[] = [];
jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
// A worker of its own draws in the browser; here it is told what to draw.
jest.mock('./useLabels.ts', () => ({
  useLabels: () => ({
    sheets: { value: [] },
    progress: { value: null },
    problem: { value: '' },
    draw: (request: (typeof drawn)[number]) => drawn.push(request),
    cancel: () => undefined,
    clear: () => undefined,
  }),
}));
enableAutoUnmount(afterEach);

const SHOP = {
  settings: { labels: { symbology: 'code128', paper: 'a4' } },
  actions: [{ action: 'off-task', code: 'C66G' }],
  activities: [],
  resources: [],
};
const PEOPLE = {
  technicians: [
    { id: 't1', name: 'Ada Lund', number: '1', department: 'Winding', leftOn: null, badges: [] },
    { id: 't2', name: 'Bo Moe', number: '2', department: 'Winding', leftOn: 5, badges: [] },
  ],
};
async function open(...rights: Parameters<typeof signIn>) {
  signIn(...rights);
  server.calls = [];
  drawn.length = 0;
  server.answer = ({ name }) =>
    ({ shop: SHOP, people: PEOPLE, work: { orders: [] }, ownLabel: { id: 'b', code: 'BX7' } })[name] ?? null;
  const opened = await openPage(LabelsPage, {});
  await flushPromises();
  const choose = async (label: string, value: string) => {
    const labels = opened.page.findAll('label').filter((each) => each.text().startsWith(label));
    const [select] = labels.map((each) => each.find('select')).filter((each) => each.exists());
    await select?.setValue(value);
    await flushPromises();
  };
  const preview = async () => {
    await opened.page.get('form').trigger('submit');
    await flushPromises();
  };
  return { ...opened, choose, preview };
}

test('a label of one’s own does one thing for one person, whoever still works here', async () => {
  const { page, choose, preview } = await open('people.change', 'shop.see');
  await choose('What ', 'own-label');
  expect(page.text()).not.toContain('Bo Moe');
  await choose('For', 't1');
  await choose('What it does', 'break');
  await preview();
  expect(server.calls.find(({ name }) => name === 'ownLabel')?.options).toEqual({
    params: { technician: 't1' },
    body: { action: 'break' },
  });
  expect(drawn[0]?.job.cells).toEqual([{ title: 'Ada Lund', detail: 'BREAK', code: 'BX7' }]);
});

test('before somebody is chosen there is nothing to draw', async () => {
  const { page, choose } = await open('people.change', 'shop.see');
  await choose('What ', 'own-label');
  expect(page.get('button[type=submit]').attributes('disabled')).toBeDefined();
});

test('whoever may see the shop alone prints what hangs on its walls, and nobody’s badge', async () => {
  const { page, preview } = await open('shop.see');
  const kinds = page.findAll('option').map((each) => each.text());
  expect(kinds).toContain('Action sheet');
  expect(kinds).not.toContain('A label of one’s own');
  await preview();
  expect(drawn[0]?.job.cells).toEqual([{ title: 'OFF TASK', detail: '', code: 'C66G' }]);
});
