import { createTheme, type MantineColorsTuple } from '@mantine/core';

const own = (name: string): MantineColorsTuple =>
  Array.from({ length: 10 }, () => `var(--${name})`) as unknown as MantineColorsTuple;

/** Mantine in our own colours: every shade is a token of tokens.css. */
export const theme = createTheme({
  fontFamily: 'var(--body)',
  headings: { fontFamily: 'var(--head)' },
  colors: { turf: own('turf'), rowan: own('rowan') },
  primaryColor: 'turf',
  defaultRadius: 3,
  components: {
    // What is said about a field stands below it, so that fields side by side stand in one line.
    InputWrapper: {
      defaultProps: { withAsterisk: false, inputWrapperOrder: ['label', 'input', 'description', 'error'] },
    },
    // Who types and presses Enter takes what was found; without it Enter would send the form.
    Select: { defaultProps: { selectFirstOptionOnChange: true } },
    MultiSelect: { defaultProps: { selectFirstOptionOnChange: true } },
    SegmentedControl: {
      styles: {
        root: { background: 'var(--ground)', border: '1px solid var(--line)' },
        indicator: { background: 'var(--lit)', boxShadow: 'none', borderBottom: '3px solid var(--turf)' },
        label: { color: 'var(--text)' },
      },
    },
  },
  autoContrast: false,
  fontSizes: { xs: '13px', sm: '15px', md: '16px', lg: '18px', xl: '22px' },
});
