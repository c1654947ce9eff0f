import { createContext, useContext, useState, type ReactNode } from 'react';
import { useColorScheme } from 'react-native';
import { Theme } from 'tamagui';
import { usePrinting } from '@/kit/layout/usePrinting';

type Choice = 'system' | 'light' | 'dark';
const KEY = 'nook.theme';
const ThemeContext = createContext<{ choice: Choice; choose: (choice: Choice) => void }>({
  choice: 'system',
  choose: () => undefined,
});

function kept(): Choice {
  const value = globalThis.localStorage?.getItem(KEY);
  return value === 'light' || value === 'dark' ? value : 'system';
}

/** Light or dark as the device says, unless the person has chosen. */
export function ThemeChoice({ children }: { children: ReactNode }) {
  const device = useColorScheme();
  const printing = usePrinting();
  const [choice, setChoice] = useState<Choice>(kept);
  const choose = (next: Choice): void => {
    setChoice(next);
    localStorage.setItem(KEY, next);
  };
  const name = choice === 'system' ? (device === 'dark' ? 'dark' : 'light') : choice;
  return (
    <ThemeContext.Provider value={{ choice, choose }}>
      {/* Ink on paper: the light colours, whatever the screen has. */}
      <Theme name={printing ? 'light' : name}>{children}</Theme>
    </ThemeContext.Provider>
  );
}

export const useThemeChoice = () => useContext(ThemeContext);
