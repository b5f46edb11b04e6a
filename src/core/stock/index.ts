// Places
export { ADDED_PLACES, CRIB_PLACES, inCrib } from './places';
export type { PlaceKind } from './places';
// Counting and lending
export { explainDifference } from './explainDifference';
export type { DifferenceFacts } from './explainDifference';
export { loansOut } from './overdue';
export type { Loan } from './overdue';
