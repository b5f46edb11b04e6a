// Items: verbs
export { addItem } from './addItem';
export { stateFacts } from './stateFacts';
export { linkItem, stateStanding } from './linkItem';
// Items with their facts in force
export { itemWords, loadItems } from './loadItems';
export type { CribItem } from './loadItems';
