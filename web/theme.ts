import {
  colorsTuple,
  createTheme,
  Menu,
  Modal,
  MultiSelect,
  Select,
  type CSSVariablesResolver,
} from '@mantine/core';

/** Every colour, size and font of the interface. Paper and ink change in the dark scheme, ball colours never. */
const light = {
  paper: '#F5F1E8',
  surface: '#FFFCF5',
  ink: '#23263A',
  muted: '#5E6070',
  line: '#D8D0BF',
  coral: '#CF4F34',
  'coral-text': '#A83A22',
  gold: '#E2A32B',
  indigo: '#3A3D8F',
  teal: '#2C7F6C',
  'teal-text': '#1E6152',
  cloth: '#E3EAE2',
  cushion: '#CFDACF',
  rail: '#E6CFA3',
  'rail-ink': '#6E5226',
  pocket: '#23263A',
};

const dark: typeof light = {
  paper: '#1B1D29',
  surface: '#242736',
  ink: '#F0EBDD',
  muted: '#B1B2BE',
  line: '#42465A',
  coral: '#E8775C',
  'coral-text': '#F0947D',
  gold: '#E2A32B',
  indigo: '#A9ACF0',
  teal: '#2C7F6C',
  'teal-text': '#7FCFBB',
  cloth: '#2C3A38',
  cushion: '#3A4A46',
  rail: '#5A4A2C',
  'rail-ink': '#E6CFA3',
  pocket: '#0D0E15',
};

export type ColourName = keyof typeof light;

/** A colour of the current scheme, for styles and drawings. */
export function colour(name: ColourName): string {
  return `var(--jr-${name})`;
}

/** Colours of the balls by the name on them, the same in every scheme; 9 to 15 wear those of 1 to 7 as a band. */
export const BALL_COLOURS: Readonly<Record<string, string>> = {
  cue: '#FFFFFF',
  '1': '#E9B93B',
  '2': '#2E5FB0',
  '3': '#C8402F',
  '4': '#6B3F93',
  '5': '#DE7A2C',
  '6': '#2F7D4F',
  '7': '#7E2A33',
  '8': '#2A2A2E',
  red: '#B3372B',
  yellow: '#E9C53B',
  green: '#2F7D4F',
  brown: '#7C5130',
  blue: '#3A6FC0',
  pink: '#E08CA0',
  black: '#2A2A2E',
};

export const HEADING_FONT = "'Bricolage Grotesque Variable', sans-serif";
export const TEXT_FONT = "'Atkinson Hyperlegible Next', sans-serif";

const OPTIONS = {
  withScrollArea: false,
  styles: { options: { maxHeight: 250, overflowY: 'auto' } },
} as const;

export const theme = createTheme({
  colors: {
    teal: colorsTuple('#2C7F6C'),
    coral: colorsTuple('#CF4F34'),
    indigo: colorsTuple('#3A3D8F'),
    ink: colorsTuple('#23263A'),
  },
  primaryColor: 'teal',
  defaultRadius: 10,
  fontFamily: TEXT_FONT,
  headings: { fontFamily: HEADING_FONT, fontWeight: '700' },
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: {
    Modal: Modal.extend({
      defaultProps: {
        closeButtonProps: { 'aria-label': 'Close' },
        // Its head is no second banner of the page.
        attributes: { header: { role: 'presentation' } },
      },
    }),
    // Their options scroll by themselves: a scrolled frame around them could not be reached by keys.
    Select: Select.extend({ defaultProps: OPTIONS }),
    MultiSelect: MultiSelect.extend({ defaultProps: OPTIONS }),
    // A list that opens belongs to where its button is, and is read there.
    Menu: Menu.extend({ defaultProps: { withinPortal: false, withInitialFocusPlaceholder: false } }),
  },
  fontSizes: { xs: '0.8rem', sm: '0.9rem', md: '1rem', lg: '1.15rem', xl: '1.35rem' },
});

function variables(colours: typeof light): Record<string, string> {
  return Object.fromEntries(Object.entries(colours).map(([name, value]) => [`--jr-${name}`, value]));
}

function mantineVariables(colours: typeof light): Record<string, string> {
  return {
    ...variables(colours),
    '--mantine-color-body': colours.paper,
    '--mantine-color-text': colours.ink,
    // Ink is dark on paper and light in the dark; Mantine knows one shade of it.
    '--mantine-color-ink-light-color': colours.ink,
    '--mantine-color-ink-text': colours.ink,
    '--mantine-color-ink-outline': colours.ink,
    // Buttons that are only text or a line are read on paper, light and dark.
    '--mantine-color-teal-light-color': colours['teal-text'],
    '--mantine-color-teal-outline': colours['teal-text'],
    '--mantine-color-coral-light-color': colours['coral-text'],
    '--mantine-color-coral-outline': colours['coral-text'],
    '--mantine-color-indigo-light-color': colours.indigo,
    '--mantine-color-indigo-outline': colours.indigo,
    '--mantine-color-anchor': colours.ink,
    '--mantine-color-dimmed': colours.muted,
    '--mantine-color-default': colours.surface,
    '--mantine-color-default-color': colours.ink,
    '--mantine-color-default-border': colours.line,
    '--mantine-color-error': colours['coral-text'],
    '--mantine-color-placeholder': colours.muted,
  };
}

export const cssVariables: CSSVariablesResolver = () => ({
  variables: {},
  light: mantineVariables(light),
  dark: mantineVariables(dark),
});
