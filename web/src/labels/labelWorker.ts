import { expose } from 'comlink';
import { drawJob } from './drawJob.ts';

const functions = { draw: drawJob };
export type LabelFunctions = typeof functions;
expose(functions);
