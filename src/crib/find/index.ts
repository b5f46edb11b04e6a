export { lookUpCode } from './lookUpCode';
