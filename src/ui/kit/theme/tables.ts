import type {} from '@mui/x-data-grid/themeAugmentation';
import type { Look } from './parts';

/** Tables: hairlines on the paper they lie on. */
export const tables: Look = {
  // Tables are hairlines on the paper they lie on; the head stays while the list goes by.
  MuiTable: { styleOverrides: { root: { borderCollapse: 'collapse', width: '100%' } } },
  MuiTableRow: {
    styleOverrides: {
      root: {
        '&.open > td': { background: 'var(--accent-soft)' },
        'tbody > &:hover > td': {
          background: 'color-mix(in srgb, var(--accent-soft) 55%, transparent)',
        },
      },
    },
  },
  MuiTableCell: {
    styleOverrides: {
      root: {
        padding: '8px 10px 8px 0',
        borderBottom: '1px solid var(--line)',
        verticalAlign: 'top',
        font: 'inherit',
        letterSpacing: 'inherit',
        color: 'inherit',
        '&.num': { textAlign: 'right' },
        '&.num + :not(.num)': { paddingLeft: 14 },
        '&.fig': { fontFamily: 'var(--figures)', fontFeatureSettings: "'zero' 1" },
      },
      head: {
        fontWeight: 600,
        color: 'var(--soft)',
        fontSize: 13,
        borderBottom: '2px solid var(--ink)',
        padding: '4px 10px 4px 0',
        position: 'sticky',
        top: 0,
        background: 'var(--under, var(--paper))',
        zIndex: 1,
        whiteSpace: 'nowrap',
      },
    },
  },
  // Tables that come a page at a time: hairlines, no boxes.
  MuiDataGrid: {
    styleOverrides: {
      root: {
        '&.MuiDataGrid-root': {
          '--DataGrid-rowBorderColor': 'var(--line)',
          '--DataGrid-containerBackground': 'var(--paper)',
          '--DataGrid-t-header-background-base': 'var(--paper)',
          '--DataGrid-t-color-background-base': 'var(--paper)',
          font: 'inherit',
          color: 'inherit',
          border: 0,
          borderRadius: 0,
          background: 'none',
        },
      },
      columnHeaders: { "& [role='row']": { borderBottom: '2px solid var(--ink)' } },
      columnHeader: {
        '&.MuiDataGrid-columnHeader': {
          background: 'var(--paper)',
          padding: '0 10px 0 0',
          fontSize: 13,
          color: 'var(--soft)',
        },
        '&:focus, &:focus-within': { outline: '2px solid var(--accent)', outlineOffset: -2 },
      },
      columnHeaderTitle: { fontWeight: 600 },
      columnSeparator: { '&.MuiDataGrid-columnSeparator': { color: 'transparent' } },
      sortButton: { '&.MuiIconButton-root': { background: 'none', padding: 2 } },
      sortIcon: { color: 'var(--ink)' },
      row: {
        cursor: 'pointer',
        '&.open > .MuiDataGrid-cell': { background: 'var(--accent-soft)' },
        '&:hover': { background: 'color-mix(in srgb, var(--accent-soft) 55%, transparent)' },
      },
      cell: {
        '&.MuiDataGrid-cell': {
          padding: '6px 10px 6px 0',
          fontSize: 15,
          lineHeight: 1.3,
          whiteSpace: 'normal',
          overflowWrap: 'anywhere',
        },
        '&:focus, &:focus-within': { outline: '2px solid var(--accent)', outlineOffset: -2 },
      },
    },
  },
};
