export { Ladder } from './Ladder';
export { Regrinds } from './Regrinds';
export { Scrap } from './Scrap';
