import { EventEmitter } from 'node:events';
import { pino } from 'pino';
import { spreadLastNet } from './lastNet.ts';

test.each([
  ['unhandledRejection', false],
  ['uncaughtException', true],
])('%s is logged without what was in it; the process ends: %s', (event, ends) => {
  const lines: string[] = [];
  const log = pino({ level: 'error' }, { write: (line: string) => void lines.push(line) });
  const source = new EventEmitter();
  let hasEnded = false;
  spreadLastNet(source, log, () => (hasEnded = true));
  source.emit(event, Object.assign(new TypeError('insert … values (4711)'), { code: 'SQLITE_FULL' }));
  expect(lines).toHaveLength(1);
  expect(lines[0]).toContain('SQLITE_FULL');
  expect(lines[0]).not.toContain('4711');
  expect(hasEnded).toBe(ends);
});
