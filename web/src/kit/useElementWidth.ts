import { onScopeDispose, ref, watch } from 'vue';
import type { Ref } from 'vue';

/** The width of an element in pixels, as it changes. */
export function useElementWidth(element: Ref<HTMLElement | undefined>): Readonly<Ref<number>> {
  const width = ref(0);
  const observer = new ResizeObserver(([entry]) => (width.value = entry?.contentRect.width ?? 0));
  watch(element, (now, before) => {
    if (before) observer.unobserve(before);
    if (now) observer.observe(now);
  });
  onScopeDispose(() => observer.disconnect());
  return width;
}
