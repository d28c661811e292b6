export { loadBoard, loadBoardPart } from './board.ts';
export { loadAnswers } from './requests.ts';
export { mountFloor } from './routes.ts';
