export { Moves } from './Moves';
export { StockTable } from './StockTable';
