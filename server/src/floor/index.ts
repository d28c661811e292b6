export { loadBoard, loadBoardPart } from './board.ts';
export { loadAnswers, loadLeaveAnswers } from './requests.ts';
export { mountFloor } from './routes.ts';
