import { act, fireEvent, screen } from '@testing-library/react';
import { Text } from 'react-native';
import { LongList } from './LongList';
import { renderWith } from './renderWith.test-support';
import { Screen } from './Screen';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn() }) }));

const HEIGHT = 720;
const ROW = 72;
const things = (count: number): string[] => Array.from({ length: count }, (_, at) => `thing ${at}`);
const show = (count: number): void => {
  renderWith(
    <Screen title="Many" sync={false}>
      <LongList entries={things(count)} keyOf={(one) => one} draw={(one) => <Text>{one}</Text>} />
    </Screen>,
  );
};

// A page without a layout has no heights; the frame gets one, and the rows.
beforeAll(() => {
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, get: () => ROW });
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, get: () => HEIGHT });
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, get: () => 390 });
});

it('draws all of a short list', () => {
  show(30);
  expect(screen.getAllByText(/^thing /)).toHaveLength(30);
});

it('draws what is in sight of a long one, and what comes into sight', async () => {
  show(5000);
  expect(screen.getByText('thing 0')).toBeTruthy();
  expect(screen.getAllByText(/^thing /).length).toBeLessThan(60);
  expect(screen.queryByText('thing 900')).toBeNull();
  const frame = document.querySelector('[class*="is_ScrollView"]')!;
  await act(async () => {
    frame.scrollTop = 900 * ROW;
    fireEvent.scroll(frame);
  });
  expect(screen.queryByText('thing 0')).toBeNull();
  expect(screen.getByText('thing 900')).toBeTruthy();
});
