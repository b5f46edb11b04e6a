// Items: verbs
export { addItem } from './addItem';
export { stateFacts } from './stateFacts';
export { linkItem, stateStanding } from './linkItem';
// Items with their facts in force
export { factText, itemWords, loadItems } from './loadItems';
// Facts at a door
export { faultParts, insertFacts, readFact, withFollowing } from './writeFacts';
export type { Fact } from './writeFacts';
export type { CribItem } from './loadItems';
