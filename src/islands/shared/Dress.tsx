import { createTheme, localStorageColorSchemeManager, MantineProvider } from '@mantine/core';
import type { ReactNode } from 'react';

const theme = createTheme({
  fontFamily: 'var(--words)',
  fontFamilyMonospace: 'var(--figures)',
  headings: { fontFamily: 'var(--words)' },
  defaultRadius: 3,
  cursorType: 'pointer',
  focusRing: 'auto',
});
const colourScheme = localStorageColorSchemeManager({ key: 'scabbard-colour-scheme' });

/** Everything interactive lives inside this: the component library in the project's own cloth, with no inline style sheets. */
export function Dress({ children }: { children: ReactNode }) {
  return (
    <MantineProvider
      theme={theme}
      defaultColorScheme="auto"
      colorSchemeManager={colourScheme}
      withCssVariables={false}
      withGlobalClasses={false}
    >
      {children}
    </MantineProvider>
  );
}
