// What people do
export { gradePiece } from './verbs/gradePiece';
export { sendToRegrind } from './verbs/sendToRegrind';
export { setLadder } from './verbs/setLadder';
export { takeFromRegrind } from './verbs/takeFromRegrind';
// Shared with other rooms
export { checkGrade, gradeFields, GRADES, gradesFor, recordGrade } from './grade';
export { ladderInForce } from './ladder';
