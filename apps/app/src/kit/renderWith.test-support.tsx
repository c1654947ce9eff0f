import { render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { TamaguiProvider, Theme } from 'tamagui';
import { config } from './theme/tamagui.config';

/** Renders with our tokens, fonts and themes. */
export const renderWith = (element: ReactElement, theme: 'light' | 'dark' = 'light') =>
  render(
    <TamaguiProvider config={config} defaultTheme={theme} disableInjectCSS>
      <Theme name={theme}>{element}</Theme>
    </TamaguiProvider>,
  );
