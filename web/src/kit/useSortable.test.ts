/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import Sortable from 'sortablejs';
import { defineComponent, h, nextTick, ref } from 'vue';
import { useSortable } from './useSortable.ts';

/** A list with a heading and rows; `drag` does to the page what a drag by hand has done when it ends. */
async function open(rows: string[]) {
  const list = ref<HTMLElement | null>(null);
  const order = ref(rows);
  const Page = defineComponent({
    setup() {
      useSortable(list, {
        rows: '.row',
        handle: '.row',
        move: (from, to) => order.value.splice(to, 0, ...order.value.splice(from, 1)),
      });
      return () =>
        h('div', { ref: list }, [
          h('p', 'head'),
          ...order.value.map((each) => h('div', { key: each, class: 'row' }, each)),
        ]);
    },
  });
  const page = mount(Page);
  await nextTick();
  const texts = () => page.findAll('.row').map((each) => each.text());
  const drag = async (from: number, to: number) => {
    const element = page.element as HTMLElement;
    const sortable = Sortable.get(element);
    const drawn = [...element.querySelectorAll<HTMLElement>('.row')];
    const item = drawn[from];
    if (!item || !sortable) throw new Error('nothing to drag');
    item.remove();
    const others = [...element.querySelectorAll('.row')];
    element.insertBefore(item, others[to] ?? null);
    sortable.options.onEnd?.({
      item,
      from: element,
      oldDraggableIndex: from,
      newDraggableIndex: to,
    } as unknown as Sortable.SortableEvent);
    await nextTick();
  };
  return { page, order, texts, drag };
}

test.each([
  [0, 2, 'b c a'],
  [2, 0, 'c a b'],
  [1, 2, 'a c b'],
  [1, 0, 'b a c'],
  [1, 1, 'a b c'],
])('a row dragged from %i to %i: %s, in the data and on the page', async (from, to, expected) => {
  const { order, texts, drag, page } = await open(['a', 'b', 'c']);
  await drag(from, to);
  expect([order.value.join(' '), texts().join(' ')]).toEqual([expected, expected]);
  expect(page.text()).toMatch(/^head/);
});

test('the list can be put in order again and again, and lets go of it when it is gone', async () => {
  const { texts, drag, page } = await open(['a', 'b', 'c', 'd']);
  await drag(3, 0);
  await drag(1, 3);
  expect(texts()).toEqual(['d', 'b', 'c', 'a']);
  const element = page.element as HTMLElement;
  page.unmount();
  expect(Sortable.get(element)?.el ?? null).toBeNull();
});
