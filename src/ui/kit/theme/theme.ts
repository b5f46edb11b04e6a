'use client';
import { createTheme } from '@mui/material/styles';
import type {} from '@mui/x-date-pickers/themeAugmentation';

/** MUI's parts in our look: square, flat, hairlines; colours come from stable.css so that SVG and print share them. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#17535c' },
        error: { main: '#96341c' },
        warning: { main: '#7d5405' },
        background: { default: '#efebe0', paper: '#faf7ef' },
        text: { primary: '#22282b', secondary: '#5f5a50' },
        divider: '#cfc6b3',
      },
    },
    dark: {
      palette: {
        primary: { main: '#7cc3cb' },
        error: { main: '#f0937a' },
        warning: { main: '#e3b457' },
        background: { default: '#171b1d', paper: '#20262a' },
        text: { primary: '#ece6d8', secondary: '#b3ac9c' },
        divider: '#3d464a',
      },
    },
  },
  shape: { borderRadius: 2 },
  typography: {
    fontFamily: 'var(--words)',
    button: { textTransform: 'none', fontWeight: 650, fontSize: 15, letterSpacing: 0 },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: 'outlined' },
      styleOverrides: {
        root: {
          minHeight: 40,
          padding: '6px 13px',
          borderRadius: 2,
          whiteSpace: 'normal',
          lineHeight: 1.2,
          '&.MuiButton-contained': {
            background: 'var(--accent)',
            color: 'var(--on-accent)',
            border: '2px solid var(--accent)',
          },
          '&.MuiButton-outlined': { border: '2px solid var(--accent)', color: 'var(--accent)' },
          '&.MuiButton-text': {
            color: 'var(--accent)',
            minHeight: 26,
            padding: '2px 6px',
            minWidth: 0,
            textDecoration: 'underline',
            textUnderlineOffset: 3,
          },
          '&.Mui-focusVisible': { outline: '3px solid var(--accent)', outlineOffset: 2 },
          '&[aria-disabled=true]': { opacity: 0.6 },
        },
      },
    },
    MuiInputBase: {
      styleOverrides: {
        root: {
          background: 'var(--sheet)',
          border: '1px solid var(--line)',
          borderBottom: '2px solid var(--soft)',
          borderRadius: 0,
          padding: '0 8px',
          minHeight: 38,
          width: '100%',
          '&.Mui-focused': { borderBottomColor: 'var(--accent)', outline: '2px solid var(--accent)' },
          '&.Mui-error': { borderColor: 'var(--rust)', borderBottomColor: 'var(--rust)' },
        },
        input: { padding: '7px 0', fontFamily: 'inherit', '&.fig': { fontFamily: 'var(--figures)' } },
      },
    },
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
          background: 'var(--paper)',
          zIndex: 1,
          whiteSpace: 'nowrap',
          '.tag &': { background: 'var(--sheet)' },
        },
      },
    },
    MuiCheckbox: {
      styleOverrides: { root: { color: 'var(--soft)', '&.Mui-checked': { color: 'var(--accent)' } } },
    },
    MuiPickersOutlinedInput: {
      styleOverrides: {
        root: {
          background: 'var(--sheet)',
          borderRadius: 0,
          minHeight: 38,
          paddingRight: 4,
          '&.Mui-focused .MuiPickersOutlinedInput-notchedOutline.MuiPickersOutlinedInput-notchedOutline': {
            border: '2px solid var(--accent)',
          },
        },
        sectionsContainer: { padding: '7px 0', fontFamily: 'var(--figures)' },
        notchedOutline: { border: '1px solid var(--line)', borderBottom: '2px solid var(--soft)' },
      },
    },
    MuiNativeSelect: { styleOverrides: { select: { padding: '7px 22px 7px 0 !important' } } },
  },
});
