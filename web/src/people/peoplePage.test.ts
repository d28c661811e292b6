/** @jest-environment jsdom */
import { enableAutoUnmount, flushPromises } from '@vue/test-utils';
import { parseDay } from '@wergon/core/time';
import { signIn } from '../kit/desk.fixture.ts';
import { CallFailed, bodies, server } from '../kit/fakeServer.fixture.ts';
import { openPage } from '../kit/page.fixture.ts';
import PeoplePage from './PeoplePage.vue';

jest.mock('../kit/callRoute.ts', () => ({
  ...jest.requireActual<object>('../kit/callRoute.ts'),
  ...jest.requireActual<object>('../kit/fakeServer.fixture.ts'),
}));
enableAutoUnmount(afterEach);

const day = (text: string) => {
  const read = parseDay(text);
  return read.ok ? read.value : null;
};
const person = (number: string, name: string, more: object = {}) => ({
  id: `t${number}`,
  number,
  name,
  department: 'Winding',
  crew: '',
  grade: 'g1',
  kind: 'employee',
  badges: [{ id: `b${number}`, revokedAt: null }],
  hasRate: true,
  hiredOn: day('2022-03-01'),
  leftOn: null,
  ...more,
});
const PEOPLE = [
  person('102', 'Bo', { department: 'Assembly', badges: [] }),
  person('9', 'Ada', { hasRate: false, kind: 'subcontractor' }),
  person('103', 'Cy', { leftOn: day('2026-01-31') }),
];

async function open(rights: Parameters<typeof signIn> = ['people.change']) {
  signIn(...rights);
  server.calls = [];
  server.answer = ({ name }) => {
    if (name === 'people') return { technicians: PEOPLE, grades: [{ id: 'g1', name: 'Winder' }] };
    return name === 'addTechnician' ? { id: 't104' } : null;
  };
  const { page, router, press, cells } = await openPage(PeoplePage, { person: '/people/:technician' });
  const names = () => cells().map((row) => row[1]);
  return { page, router, press, cells, names };
}

test('people stand by name, without those who have left, and what they lack is said', async () => {
  const { page, cells, names } = await open();
  expect(names()).toEqual(['Ada · subcontractor', 'Bo']);
  expect(page.text()).toContain('2 of 3 shown');
  expect(cells()[0]?.slice(5)).toEqual(['1', 'none today', 'since 2022']);
  expect(cells()[1]?.slice(5)).toEqual(['none', 'set', 'since 2022']);
});

test.each([
  ['assem', ['Bo']],
  ['9', ['Ada · subcontractor']],
  ['cy', []],
])('“%s” finds %j', async (words, found) => {
  const { page, names } = await open();
  await page.get('input[type=search]').setValue(words);
  expect(names()).toEqual(found);
  if (found.length === 0) expect(page.text()).toContain('Nobody matches “cy”.');
});

test('showing all takes words and boxes back', async () => {
  const { page, press, names } = await open();
  await page.get('input[type=search]').setValue('bo');
  await press('Show all');
  expect(names()).toEqual(['Ada · subcontractor', 'Bo', 'Cy']);
  expect(page.findAll('tbody tr').at(2)?.classes()).toContain('off');
});

test('a heading puts them in its order: numbers as numbers, and what is empty last', async () => {
  const { page, names } = await open();
  const press = async (title: string) =>
    page
      .findAll('thead button')
      .find((each) => each.text().startsWith(title))
      ?.trigger('click');
  await press('Number');
  expect(names()).toEqual(['Ada · subcontractor', 'Bo']);
  await press('Number');
  expect(names()).toEqual(['Bo', 'Ada · subcontractor']);
});

test('whoever is added is opened', async () => {
  const { page, router } = await open();
  const [, name] = page.findAll('form input');
  await name?.setValue('Di');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(bodies()).toContainEqual(['addTechnician', { number: '104', name: 'Di', department: '' }]);
  expect(router.currentRoute.value).toMatchObject({ path: '/people/t104' });
});

test('a number that is taken is said at its field, and what was typed stays', async () => {
  const { page } = await open();
  server.answer = () => {
    throw new CallFailed({
      title: 'This is in use already',
      errors: [{ field: 'number', message: 'somebody has this number' }],
    });
  };
  const [, name] = page.findAll('form input');
  await name?.setValue('Di');
  await page.get('form').trigger('submit');
  await flushPromises();
  expect(page.get('.field.wrong').text()).toContain('somebody has this number');
  expect(page.findAll<HTMLInputElement>('form input')[1]?.element.value).toBe('Di');
});

test('who may only see people adds nobody', async () => {
  const { page } = await open(['people.see']);
  expect(page.find('form').exists()).toBe(false);
});
