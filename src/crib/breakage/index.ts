// What can be reckoned
export { BREAKAGE_COMPUTATIONS } from './computations';
