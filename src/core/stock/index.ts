// Places
export { ADDED_PLACES, CRIB_PLACES, inCrib, takesIn } from './places';
export type { PlaceKind } from './places';
// What a used piece counts as
export { countsAs, usedPiece } from './countsAs';
export type { CountsAs, UsedPiece } from './countsAs';
// What is set aside for jobs
export { freeFor } from './freeFor';
export type { Free, Reservation } from './freeFor';
// How old what is left may be
export { ageOfStock } from './age';
// Seats of a body
export { edgesLeftWords, IN_DAMAGED_SEAT, sitsInDamagedSeat, turnSeats } from './seats';
export type { InSeat, SeatTurned } from './seats';
// Counting and lending
export { explainDifference } from './explainDifference';
export type { DifferenceFacts } from './explainDifference';
export { loansOut } from './overdue';
