export { PagedTable } from './PagedTable';
