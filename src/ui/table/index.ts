// Tables that come a page at a time
export { PagedTable } from './PagedTable';
export type { PagedTableProps } from './PagedTable';
