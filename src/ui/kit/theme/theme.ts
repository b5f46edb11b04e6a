'use client';
import { createTheme } from '@mui/material/styles';
import { fields } from './fields';
import { parts } from './parts';
import { tables } from './tables';

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
  components: { ...parts, ...fields, ...tables },
});
