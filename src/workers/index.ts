export { openPool } from './pool';
