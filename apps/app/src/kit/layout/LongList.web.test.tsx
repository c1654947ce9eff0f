import { act, screen } from '@testing-library/react';
import { Text } from 'react-native';
import { LongList } from './LongList';
import { renderWith } from '@/kit/renderWith.test-support';
import { Screen } from './Screen';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn() }) }));

const things = (count: number): string[] => Array.from({ length: count }, (_, at) => `thing ${at}`);
const show = (count: number): void => {
  renderWith(
    <Screen title="Many">
      <LongList entries={things(count)} keyOf={(one) => one} draw={(one) => <Text>{one}</Text>} />
    </Screen>,
  );
};
const drawn = (): number => screen.getAllByText(/^thing /).length;

/** A page without a layout sees nothing; the test says when the foot is near. */
let comeNear: (() => void) | null = null;
beforeEach(() => {
  (globalThis as { IntersectionObserver?: unknown }).IntersectionObserver = class {
    constructor(private readonly tell: (seen: { isIntersecting: boolean }[]) => void) {}
    observe() {
      comeNear = () => this.tell([{ isIntersecting: true }]);
    }
    disconnect() {
      comeNear = null;
    }
  };
});
afterEach(() => {
  delete (globalThis as { IntersectionObserver?: unknown }).IntersectionObserver;
});

it('draws all of a short list', () => {
  show(10);
  expect(drawn()).toBe(10);
  expect(comeNear).toBeNull();
});

it('draws the first of a long one, and more whenever their end comes near, to the last', () => {
  show(25);
  expect(drawn()).toBe(10);
  act(() => comeNear!());
  expect(drawn()).toBe(20);
  act(() => comeNear!());
  expect(drawn()).toBe(25);
  expect(screen.getByText('thing 24')).toBeTruthy();
  expect(comeNear).toBeNull();
});

it('draws all where a browser cannot tell what is in sight', () => {
  delete (globalThis as { IntersectionObserver?: unknown }).IntersectionObserver;
  show(100);
  expect(drawn()).toBe(100);
});
