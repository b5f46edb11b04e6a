export { LongTable } from './LongTable';
export { PagedTable } from './PagedTable';
