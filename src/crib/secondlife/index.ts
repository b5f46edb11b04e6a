// What people do
export { gradePiece } from './verbs/gradePiece';
export { sellScrap } from './verbs/sellScrap';
export { sendToRegrind } from './verbs/sendToRegrind';
export { setLadder } from './verbs/setLadder';
export { takeFromRegrind } from './verbs/takeFromRegrind';
// What screens show
export { scrapView } from './views/scrapView';
export type { ScrapHeap, ScrapView } from './views/scrapView';
// Shared with other rooms
export { checkGrade, gradeFields, GRADES, gradesFor, recordGrade } from './grade';
export { ladderInForce } from './ladder';
