import { fireEvent, render, screen } from '@testing-library/react';
import { arrowFocus } from './arrowFocus';
import { nearestThatWay } from './nearest';

/** Two shelves: A1 A2 above, B1 B2 below, and a shelf of its own further down. */
const BOXES: Readonly<Record<string, [left: number, top: number, width: number, height: number]>> = {
  A1: [0, 0, 40, 30],
  A2: [50, 0, 40, 30],
  B1: [0, 50, 60, 30],
  B2: [70, 50, 20, 30],
  C: [0, 100, 90, 30],
};
const boxOf = (name: string) => {
  const [left, top, width, height] = BOXES[name]!;
  return { left, top, width, height };
};
const next = (from: string, way: readonly [number, number]): string | null => {
  const others = Object.keys(BOXES).filter((name) => name !== from);
  const at = nearestThatWay(boxOf(from), others.map(boxOf), way);
  return at === null ? null : others[at]!;
};

it.each([
  ['A1', [1, 0], 'A2'],
  ['A1', [0, 1], 'B1'],
  ['A2', [0, 1], 'B2'],
  ['B2', [-1, 0], 'B1'],
  ['B1', [0, 1], 'C'],
  ['C', [0, -1], 'B1'],
  ['A1', [-1, 0], null],
  ['C', [0, 1], null],
] as const)('from %s by %j to %s', (from, way, to) => expect(next(from, way)).toBe(to));

it('goes by the keys, and leaves them to what is being carried and to fields', () => {
  const rect = Element.prototype.getBoundingClientRect;
  Element.prototype.getBoundingClientRect = function (this: Element) {
    return boxOf(this.textContent ?? 'C') as DOMRect;
  };
  try {
    render(
      <div onKeyDown={arrowFocus}>
        {Object.keys(BOXES).map((name) => (
          <div key={name} role="button" tabIndex={0} aria-pressed={name === 'B2'}>
            {name}
          </div>
        ))}
      </div>,
    );
    const press = (name: string, key: string, more: object = {}): string | null => {
      const part = screen.getByText(name);
      part.focus();
      fireEvent.keyDown(part, { key, ...more });
      return document.activeElement?.textContent ?? null;
    };
    expect(press('A1', 'ArrowRight')).toBe('A2');
    expect(press('A1', 'ArrowLeft')).toBe('A1');
    expect(press('A1', 'ArrowRight', { shiftKey: true })).toBe('A1');
    expect(press('A1', 'Enter')).toBe('A1');
    expect(press('B2', 'ArrowLeft')).toBe('B2');
  } finally {
    Element.prototype.getBoundingClientRect = rect;
  }
});
