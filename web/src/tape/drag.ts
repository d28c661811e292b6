import interact from 'interactjs';
import type { Directive } from 'vue';

/** Where what is dragged was taken hold of and where it is now, in pixels from the left of the window. */
export type Dragged = { readonly from: number; readonly to: number };
type Drag = { readonly start?: () => void; readonly move: (dragged: Dragged) => void };

const held = new WeakMap<HTMLElement, { readonly handle: ReturnType<typeof interact>; drag: Drag }>();

/** Lets an element be dragged sideways by mouse, pen and finger. */
export const vDrag: Directive<HTMLElement, Drag> = {
  mounted: (element, { value }) => {
    const handle = interact(element).draggable({
      lockAxis: 'x',
      listeners: {
        start: () => held.get(element)?.drag.start?.(),
        move: ({ clientX0, clientX }: { clientX0: number; clientX: number }) =>
          held.get(element)?.drag.move({ from: clientX0, to: clientX }),
      },
    });
    handle.styleCursor(false);
    held.set(element, { handle, drag: value });
  },
  updated: (element, { value }) => {
    const each = held.get(element);
    if (each) each.drag = value;
  },
  beforeUnmount: (element) => {
    held.get(element)?.handle.unset();
    held.delete(element);
  },
};
