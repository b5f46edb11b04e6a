// Shared with other rooms
export { lookUpCode } from './lookUpCode';
