import type {} from '@mui/x-date-pickers/themeAugmentation';
import type { Look } from './parts';

/** What is typed into, ticked and picked. */
export const fields: Look = {
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
  MuiCheckbox: {
    styleOverrides: { root: { color: 'var(--soft)', '&.Mui-checked': { color: 'var(--accent)' } } },
  },
  MuiRadio: {
    styleOverrides: {
      root: { padding: 0, color: 'var(--soft)', '&.Mui-checked': { color: 'var(--accent)' } },
    },
  },
  // What is picked of a few: a frame around the box and its words, large enough for a thumb.
  MuiFormControlLabel: {
    styleOverrides: {
      root: {
        margin: 0,
        gap: 6,
        padding: '7px 10px',
        background: 'var(--sheet)',
        border: '1px solid var(--line)',
        '&:has(:checked)': { borderColor: 'var(--accent)', background: 'var(--accent-soft)' },
        '&:has(:focus-visible)': { outline: '3px solid var(--accent)', outlineOffset: 2 },
        minHeight: 'var(--thumb, 0)',
      },
      label: { font: 'inherit', '*:has(> :checked) + &': { fontWeight: 650 } },
    },
  },
  MuiFormGroup: { styleOverrides: { root: { flexDirection: 'row', gap: 8 } } },
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
};
