export { loadGround, refuseEdit } from './editContext.ts';
export { mountTape } from './routes.ts';
