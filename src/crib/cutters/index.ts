// Items: verbs
export { addCutter } from './addCutter';
export { addHolder } from './addHolder';
export { stateFacts } from './stateFacts';
// Items with their facts in force
export { loadItems } from './loadItems';
export type { CribItem } from './loadItems';
