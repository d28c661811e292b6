/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { createZone, formatInstant, parseInstant } from '@wergon/core/time';
import ClockField from './ClockField.vue';

const made = createZone('Europe/Oslo');
if (!made.ok) throw new Error('no zone');
const zone = made.value;
const instant = (text: string) => {
  const read = parseInstant(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
/** 8:00 on a Tuesday in March. */
const EIGHT = '2026-03-03T08:00:00+01:00';
const open = (after?: string) => {
  const field = mount(ClockField, {
    props: {
      label: 'from',
      zone,
      modelValue: instant(EIGHT),
      ...(after === undefined ? {} : { after: instant(after) }),
    },
  });
  const input = field.get('input');
  const last = () => field.emitted<[number]>('update:modelValue')?.at(-1)?.[0];
  return { field, input, last: () => (last() === undefined ? null : formatInstant(last() as never)) };
};

test.each<[typed: string, after: string | undefined, whileTyped: string | null, onceLeft: string | null]>([
  ['9:15', undefined, '2026-03-03T08:15:00Z', '2026-03-03T08:15:00Z'],
  ['9.15', undefined, '2026-03-03T08:15:00Z', '2026-03-03T08:15:00Z'],
  // Could become 915 or 9:15 yet.
  ['915', undefined, null, '2026-03-03T08:15:00Z'],
  // The first such time behind another may be of the next day.
  ['1:30', '2026-03-03T22:00:00+01:00', '2026-03-04T00:30:00Z', '2026-03-04T00:30:00Z'],
  // What stands there already is no change.
  ['8:00', undefined, null, null],
])(
  '%j after %j is taken as %j while it is typed, as %j once it is left',
  async (typed, after, early, late) => {
    const { input, last } = open(after);
    input.element.value = typed;
    await input.trigger('input');
    expect(last()).toBe(early);
    await input.trigger('blur');
    expect(last()).toBe(late);
  },
);

test.each(['25:00', '8:61', 'noon', ''])('%j is no time: it is marked and changes nothing', async (typed) => {
  const { input, last } = open();
  await input.setValue(typed);
  await input.trigger('blur');
  expect([input.attributes('aria-invalid'), last()]).toEqual(['true', null]);
});

test('a time that somebody else gives stands in the field, and is no mistake', async () => {
  const { field, input } = open();
  await input.setValue('noon');
  await input.trigger('blur');
  await field.setProps({ modelValue: instant('2026-03-03T10:05:00+01:00') });
  expect([input.element.value, input.attributes('aria-invalid')]).toEqual(['10:05', 'false']);
});

test('hours and minutes that are picked count as typed ones do', async () => {
  const { field, last } = open('2026-03-03T22:00:00+01:00');
  field.getComponent({ name: 'TimePick' }).vm.$emit('update:modelValue', 1.5 * 3600);
  await field.vm.$nextTick();
  expect(last()).toBe('2026-03-04T00:30:00Z');
});
