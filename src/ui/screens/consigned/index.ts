export { Consigned } from './Consigned';
