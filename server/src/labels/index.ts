export { mountLabels } from './travelers.ts';
