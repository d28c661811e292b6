export { default as EffectView } from './EffectView.vue';
export { default as MadeLine } from './MadeLine.vue';
export { looseEndsPages } from './pages.ts';
export { useMade } from './useMade.ts';
export type { Made } from './useMade.ts';
