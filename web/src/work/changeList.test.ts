/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { speak } from '../words/index.ts';
import ChangeList from './ChangeList.vue';

afterEach(() => speak('en'));
const said = (field: string, before: string, after: string) =>
  mount(ChangeList, { props: { changes: [{ field, before, after }] } })
    .get('li')
    .text()
    .replace(/\s+/g, ' ');

test.each<[change: [string, string, string], inEnglish: string, inGerman: string]>([
  [['State', 'draft', 'released'], 'State: draft → released', 'Stand: Entwurf → freigegeben'],
  [['Order', '', 'made as a draft'], 'Order: made as a draft', 'Auftrag: als Entwurf angelegt'],
  [['Parts', '1 × Bearing', ''], 'Parts: 1 × Bearing → nothing', 'Teile: 1 × Bearing → nichts'],
  [['Strip: work center', 'A', 'B'], 'Strip: work center: A → B', 'Strip: Arbeitsplatz: A → B'],
  [['Wind: stator: grade', 'A', 'B'], 'Wind: stator: grade: A → B', 'Wind: stator: Stufe: A → B'],
  [['Strip: optional', '', 'yes'], 'Strip: optional: yes', 'Strip: wahlweise: ja'],
  [
    ['Estimate includes', 'run', 'run, travel'],
    'Estimate includes: run → run, travel',
    'Kalkulation enthält: Fertigen → Fertigen, Fahrt',
  ],
  [['Notes', '', 'As found'], 'Notes: As found', 'Notizen: As found'],
])('%j is told as “%s”', async (change, inEnglish, inGerman) => {
  expect(said(...change)).toBe(inEnglish);
  await speak('de');
  expect(said(...change).startsWith(inGerman)).toBe(true);
});
