import Sortable from 'sortablejs';
import { onScopeDispose, watch } from 'vue';
import type { Ref } from 'vue';

/** Lets the rows of a list be put in order by mouse and by finger. `rows` and `handle` are selectors; `move` is told
 *  from which place to which, and moves the data: the list is drawn from that alone. */
export function useSortable(
  list: Readonly<Ref<HTMLElement | null>>,
  { rows, handle, move }: { rows: string; handle: string; move: (from: number, to: number) => void },
): void {
  let sortable: Sortable | undefined;
  const end = () => sortable?.destroy();
  watch(list, (element) => {
    end();
    sortable = element
      ? Sortable.create(element, {
          draggable: rows,
          handle,
          animation: 120,
          onEnd: ({ item, from, oldDraggableIndex: old, newDraggableIndex: to }) => {
            if (old === undefined || to === undefined || old === to) return;
            // The row goes back to where it was drawn; it moves with the data.
            item.remove();
            const others = from.querySelectorAll(`:scope > ${rows}`);
            from.insertBefore(item, others[old] ?? others[others.length - 1]?.nextSibling ?? null);
            move(old, to);
          },
        })
      : undefined;
  });
  onScopeDispose(end);
}
