import { payByFile, writeAnswer } from './simulatedPayroll.ts';

const FILE = [
  'Number;Name;Day;Code;Hours;Note',
  'P1;Ada;02.03.2026;100;8,00;',
  'P1;Ada;02.03.2026;150;2,00;',
  'P2;Bo;02.03.2026;100;6,50;',
  'P9;Cy;02.03.2026;100;6,50;',
  '',
].join('\r\n');
const wages = new Map([
  ['P1', 36],
  ['P2', 40],
]);

test('the simulated payroll pays hours by their code, near what the shop reckons with, and only whom it knows', () => {
  const paid = payByFile(FILE, ';', '2026-03-02', wages);
  expect(paid.map(({ payrollNumber, period }) => [payrollNumber, period])).toEqual([
    ['P1', '2026-03-02'],
    ['P2', '2026-03-02'],
  ]);
  // Eight hours and two at one and a half; six and a half.
  for (const [i, usual] of [11 * 36, 6.5 * 40].entries()) {
    const amount = Number(paid[i]?.amount);
    expect(amount).toBeGreaterThan(usual * 0.98);
    expect(amount).toBeLessThan(usual * 1.04);
  }
});

test('the same file is paid the same, and answered with a file', () => {
  const rows = payByFile(FILE, ';', '2026-03-02', wages);
  expect(payByFile(FILE, ';', '2026-03-02', wages)).toEqual(rows);
  expect(writeAnswer(rows).split('\r\n')).toEqual([
    'Number;Period;Amount',
    ...rows.map(({ payrollNumber, period, amount }) =>
      [payrollNumber, period, amount.replace('.', ',')].join(';'),
    ),
    '',
  ]);
});
