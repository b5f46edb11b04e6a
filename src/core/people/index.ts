export { EVERYBODY, HOURS_BACK, mayActForAnother, mayDo, ROLES, SECOND_PERSON, whoMay } from './roles';
export type { May, Role, SecondPerson } from './roles';
export { PASSWORD, passwordFault, PIN_DIGITS, pinFault } from './secrets';
export { SESSION, sessionEnds } from './sessions';
