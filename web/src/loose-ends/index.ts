export { default as EffectView } from './EffectView.vue';
export { default as UndoBar } from './UndoBar.vue';
export { looseEndsPages } from './pages.ts';
export { useUndo } from './useUndo.ts';
export type { Undoable } from './useUndo.ts';
