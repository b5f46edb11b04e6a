export { Ladder } from './Ladder';
export { Regrinds } from './Regrinds';
