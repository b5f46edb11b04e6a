// What is to be made, with everything around it; read once for all who judge by it
export { askedOf, loadsOf, openWork, workAround, workWith } from './openWork';
export type { Work } from './openWork';
export { judgePlanned, plannedOf } from './planned';
export type { Planned } from './planned';
export { awayIn } from './awayIn';
export { wornHereOf, wornHereOn } from './wornHere';
// What was made
export { onItsMachine } from './onItsMachine';
export { bookParts } from './bookParts';
// Whose turn it is in a trial
export { turnsOn } from './turnsOn';
