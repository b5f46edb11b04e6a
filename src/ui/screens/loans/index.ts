export { Loans } from './Loans';
