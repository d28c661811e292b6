export { loadBoard, loadBoardPart } from './board.ts';
export { daysWorked, loadOwnLeave, loadWaitingLeave } from './leave.ts';
export { findAnswers, loadAnswers, loadLeaveAnswers } from './requests.ts';
export { saidAtDesk } from './saidAtDesk.ts';
export { mountFloor } from './routes.ts';
