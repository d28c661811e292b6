import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { toDay } from '@wergon/core/time';
import { linkToDay, linkToWeek } from './links.ts';

test('a day stands in an address as people write it, and is left out where there is none', () => {
  const day = toDay(20_535);
  expect(linkToDay('t1', day)).toEqual({
    name: 'person-day',
    params: { technician: 't1', day: '2026-03-23' },
  });
  expect(linkToWeek('t1', day)).toEqual({ name: 'week', params: { technician: 't1', day: '2026-03-23' } });
  expect(linkToDay('t1', null)).toEqual({ name: 'person-day', params: { technician: 't1' } });
});

// A day is a number in a page: given to an address as it is, it led to today.
test('no page makes such an address by itself', () => {
  const root = join(__dirname, '..');
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((file) =>
    /\.(vue|ts)$/.test(file),
  );
  const own = files.filter(
    (file) =>
      !/links(\.test)?\.ts$|pages\.ts$/.test(file) &&
      /name: '(person-day|week)',\s+params/.test(readFileSync(join(root, file), 'utf8')),
  );
  expect(own).toEqual([]);
});
