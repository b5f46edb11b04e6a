import type { ThemeOptions } from '@mui/material/styles';

/**
 * How the library's parts look: the very type that createTheme takes them by. `Components<Theme>` says the same and is not
 * it: to compare the two took a quarter of the whole type check.
 */
export type Look = NonNullable<ThemeOptions['components']>;

/** What a page is made of: buttons, views, notices, what unfolds, what comes over it. */
export const parts: Look = {
  MuiButtonBase: { defaultProps: { disableRipple: true } },
  MuiButton: {
    defaultProps: { disableElevation: true, variant: 'outlined' },
    styleOverrides: {
      root: {
        minHeight: 'var(--thumb, 40px)',
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
          minHeight: 'var(--thumb, 26px)',
          padding: '2px 6px',
          minWidth: 0,
          textDecoration: 'underline',
          textUnderlineOffset: 3,
        },
        // On the spine and beside the scan line: as quiet as what is around it.
        '&.MuiButton-colorInherit': {
          font: 'inherit',
          color: 'inherit',
          minHeight: 'var(--thumb, 34px)',
          justifyContent: 'flex-start',
          border: '1px solid var(--frame, var(--line))',
        },
        '&.Mui-focusVisible': { outline: '3px solid var(--accent)', outlineOffset: 2 },
        '&[aria-disabled=true]': { opacity: 0.6 },
      },
    },
  },
  // One of several, such as a tool of a program.
  MuiToggleButton: {
    styleOverrides: {
      root: {
        font: 'inherit',
        minWidth: 44,
        minHeight: 'var(--thumb, 40px)',
        padding: '4px 10px',
        borderRadius: 0,
        textTransform: 'none',
        color: 'var(--ink)',
        borderColor: 'var(--line)',
        '&.Mui-selected, &.Mui-selected:hover': {
          background: 'var(--accent-soft)',
          color: 'var(--accent)',
          fontWeight: 700,
        },
      },
    },
  },
  // What is in question or stops: a band of its colour at the side, its shape before the words.
  MuiAlert: {
    styleOverrides: {
      root: {
        font: 'inherit',
        color: 'inherit',
        borderRadius: 0,
        padding: '8px 12px',
        margin: '10px 0',
        borderLeft: '5px solid var(--brass)',
        background: 'var(--brass-soft)',
        '&.MuiAlert-colorError': { borderLeftColor: 'var(--rust)', background: 'var(--rust-soft)' },
        '&.MuiAlert-outlined': {
          background: 'none',
          border: '1px dashed var(--rust)',
          fontSize: 13.5,
          '& strong': { color: 'var(--rust)' },
        },
      },
      icon: {
        padding: 0,
        marginRight: 8,
        opacity: 1,
        font: '700 15px/1.4 var(--figures)',
        '.MuiAlert-colorWarning &': { color: 'var(--brass)' },
        '.MuiAlert-colorError &': { color: 'var(--rust)' },
      },
      message: { padding: 0, flex: 1, minWidth: 0, overflow: 'visible' },
    },
  },
  // Words that unfold: no box, a line at the side of what came out.
  MuiAccordion: {
    styleOverrides: {
      root: {
        display: 'inline-block',
        maxWidth: '100%',
        background: 'none',
        color: 'inherit',
        '&::before': { display: 'none' },
        '&.Mui-expanded': { display: 'block' },
      },
      region: { minWidth: 0 },
    },
  },
  MuiAccordionSummary: {
    styleOverrides: {
      root: {
        display: 'inline-flex',
        padding: '2px 0',
        font: 'inherit',
        fontWeight: 600,
        color: 'var(--accent)',
        '&.Mui-focusVisible': { background: 'none', outline: '3px solid var(--accent)', outlineOffset: 2 },
        minHeight: 'var(--thumb, 0)',
      },
      content: { margin: 0 },
      expandIconWrapper: { color: 'inherit', marginLeft: 4, transition: 'none' },
    },
  },
  MuiAccordionDetails: {
    styleOverrides: {
      root: {
        borderLeft: '3px solid var(--accent)',
        padding: '4px 0 4px 10px',
        margin: '4px 0 8px',
        fontSize: 14,
      },
    },
  },
  // Views of a screen stand as words in a row; the one that is shown is underlined, not slid to.
  MuiTabs: {
    styleOverrides: {
      root: { minHeight: 0, margin: '2px 0 12px' },
      list: { flexWrap: 'wrap', gap: '2px 18px' },
      indicator: { display: 'none' },
    },
  },
  MuiTab: {
    styleOverrides: {
      root: {
        minWidth: 0,
        maxWidth: 'none',
        minHeight: 0,
        padding: '4px 0',
        font: 'inherit',
        letterSpacing: 'inherit',
        textTransform: 'none',
        opacity: 1,
        color: 'var(--soft)',
        borderBottom: '3px solid transparent',
        '&:hover': { color: 'var(--ink)' },
        '&.Mui-selected': { color: 'var(--ink)', fontWeight: 700, borderBottomColor: 'var(--accent)' },
        '&.Mui-focusVisible': { outline: '3px solid var(--accent)', outlineOffset: 2 },
      },
    },
  },
  MuiSnackbarContent: {
    styleOverrides: {
      root: {
        font: 'inherit',
        borderRadius: 0,
        color: 'var(--spine-ink)',
        background: 'var(--spine)',
        borderLeft: '5px solid var(--accent)',
      },
    },
  },
  MuiDrawer: {
    styleOverrides: { paper: { background: 'var(--spine)', color: 'var(--spine-ink)', width: 244 } },
  },
};
