/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import FoundPeople from './FoundPeople.vue';
import MatchNote from './MatchNote.vue';

test('a search that hides some of a list says so, and is cleared', async () => {
  const note = mount(MatchNote, { props: { shown: 2, of: 5, search: 'fan' } });
  expect(note.text()).toContain('fan');
  await note.get('button').trigger('click');
  expect(note.emitted('update:search')).toEqual([['']]);
});
test('one that hides nothing says nothing', () => {
  expect(mount(MatchNote, { props: { shown: 5, of: 5, search: 'fan' } }).text()).toBe('');
});

const PEOPLE = Array.from({ length: 12 }, (_, i) => ({ id: `p${i}`, name: i % 2 ? `Ada ${i}` : `Bo ${i}` }));
test.each<[search: string, count: number, why: string]>([
  ['', 0, 'nobody before anything is typed'],
  ['  ', 0, 'blanks are nothing'],
  ['ADA', 6, 'case is nobody’s business'],
  ['o', 6, 'any part of the name'],
  ['a', 6, 'of all who fit'],
  [' 1', 3, 'words around are trimmed'],
  ['zed', 0, 'nobody fits'],
])('“%s” finds %i: %s', (search, count) => {
  const found = mount(FoundPeople, { props: { people: PEOPLE, search } });
  expect(found.findAll('button')).toHaveLength(count);
});
test('no more are listed than can be looked through, and one is picked by a press', async () => {
  const all = PEOPLE.map(({ id }) => ({ id, name: 'Ada' }));
  const found = mount(FoundPeople, { props: { people: all, search: 'ada' } });
  expect(found.findAll('button')).toHaveLength(8);
  await found.findAll('button')[3]?.trigger('click');
  expect(found.emitted('pick')).toEqual([['p3']]);
});
