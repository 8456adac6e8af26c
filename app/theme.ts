import { createTheme } from '@mui/material/styles';

/** The identity: oak-gall ink, vellum, a little gold. Components take their colors from here and nowhere else. */
export const tokens = {
  ink: '#1d2733',
  inkSoft: '#4a5561',
  vellum: '#f4efe4',
  paper: '#fffdf8',
  rule: '#d9cfbd',
  verdigris: '#1c6b66',
  verdigrisSoft: '#dcebe6',
  rubric: '#b03a22',
  gold: '#b9811a',
  /** Gold dark enough for words on vellum (WCAG 2.2 AA). */
  goldText: '#85590a',
  woad: '#3d5a80',
  madder: '#a8485b',
  weld: '#c19a1f',
  walnut: '#7a5a3a',
  plum: '#6d4c7d',
  lichen: '#6f8442',
} as const;

/** Pigments of sections, in the order in which sections take them. Never the only sign of anything. */
export const PIGMENTS = [
  tokens.woad,
  tokens.walnut,
  tokens.verdigris,
  tokens.weld,
  tokens.plum,
  tokens.madder,
  tokens.lichen,
];

const TITLE = '"Alegreya", serif';
const TEXT = '"Alegreya Sans", sans-serif';

export const theme = createTheme({
  cssVariables: false,
  spacing: 4,
  shape: { borderRadius: 4 },
  palette: {
    mode: 'light',
    primary: { main: tokens.verdigris, contrastText: '#ffffff' },
    secondary: { main: tokens.ink },
    error: { main: tokens.rubric },
    warning: { main: tokens.goldText },
    success: { main: tokens.verdigris },
    text: { primary: tokens.ink, secondary: tokens.inkSoft },
    background: { default: tokens.vellum, paper: tokens.paper },
    divider: tokens.rule,
  },
  typography: {
    fontFamily: TEXT,
    fontSize: 14,
    htmlFontSize: 15,
    body1: { fontSize: 15, lineHeight: 1.45 },
    body2: { fontSize: 14, lineHeight: 1.4 },
    h1: { fontFamily: TITLE, fontWeight: 700, fontSize: 28, lineHeight: 1.15 },
    h2: { fontFamily: TITLE, fontWeight: 700, fontSize: 19, lineHeight: 1.25 },
    h3: { fontFamily: TEXT, fontWeight: 700, fontSize: 15, lineHeight: 1.3 },
    button: { textTransform: 'none', fontWeight: 700, fontSize: 15, letterSpacing: 0 },
    caption: { fontSize: 13, lineHeight: 1.35, color: tokens.inkSoft },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        html: { fontSize: 15 },
        '@keyframes mui-auto-fill': { from: { animationName: 'mui-auto-fill' } },
        '@keyframes mui-auto-fill-cancel': { from: { animationName: 'mui-auto-fill-cancel' } },
        body: { fontVariantNumeric: 'lining-nums tabular-nums', overflow: 'hidden' },
        '*:focus-visible': { outline: `2px solid ${tokens.verdigris}`, outlineOffset: 1 },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { animation: 'none !important', transition: 'none !important' },
        },
      },
    },
    // A field hears by these animations that the browser has filled it in. They stand once in the page instead of being
    // brought by every field.
    MuiInputBase: {
      // What is typed runs the way of its own script.
      defaultProps: { disableInjectingGlobalStyles: true, slotProps: { input: { dir: 'auto' } } },
      styleOverrides: {
        input: {
          animation: 'mui-auto-fill-cancel 10ms',
          '&:-webkit-autofill': { animation: 'mui-auto-fill 5000s' },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        outlined: { borderColor: tokens.rule, backgroundColor: tokens.paper },
        root: { minWidth: 0 },
        text: { paddingLeft: 6, paddingRight: 6 },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { border: `1px solid ${tokens.rule}`, backgroundImage: 'none' } },
    },
    MuiDialog: { styleOverrides: { paper: { border: `1px solid ${tokens.ink}` } } },
    MuiDialogTitle: { styleOverrides: { root: { fontFamily: TITLE, fontWeight: 700, fontSize: 21 } } },
    // The label of a field right under the title stands over the field's edge.
    MuiDialogContent: { styleOverrides: { root: { '.MuiDialogTitle-root + &': { paddingTop: 8 } } } },
    MuiTextField: { defaultProps: { size: 'small', fullWidth: true, variant: 'outlined' } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { backgroundColor: tokens.paper, fontSize: 15 },
        notchedOutline: { borderColor: '#8f8672' },
        input: { padding: '8px 10px' },
        multiline: { padding: 0 },
      },
    },
    MuiInputLabel: { styleOverrides: { root: { color: tokens.inkSoft } } },
    MuiFormHelperText: { styleOverrides: { root: { marginLeft: 2, fontSize: 13, lineHeight: 1.3 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          padding: '5px 8px',
          color: tokens.ink,
          backgroundColor: tokens.paper,
          borderColor: tokens.rule,
          fontWeight: 400,
          '&.Mui-selected, &.Mui-selected:hover': {
            backgroundColor: tokens.verdigrisSoft,
            color: tokens.verdigris,
            fontWeight: 700,
          },
        },
      },
    },
    MuiTableCell: {
      styleOverrides: {
        root: { padding: '6px 8px', fontSize: 14, borderColor: tokens.rule },
        head: { color: tokens.inkSoft, fontSize: 13 },
      },
    },
    MuiTooltip: { styleOverrides: { tooltip: { backgroundColor: tokens.ink, fontSize: 13 } } },
    MuiLink: { defaultProps: { underline: 'hover' } },
    MuiLinearProgress: {
      styleOverrides: { root: { backgroundColor: tokens.rule, borderRadius: 3, height: 6 } },
    },
  },
});
