import { fitContainer, plainRoom, type Compartment, type ContainerFit } from '@ours/core';
import { fireEvent, screen } from '@testing-library/react';
import { renderWith } from '@/kit/renderWith.test-support';
import { FloorBoard } from './FloorBoard';
import { factsOf, planHeadline } from '@/features/plan/words';
import { fitHeadline, gapWords, reasonWords, sureWords } from './words';

const shape = (width: number, depth: number, height: number, more: object = {}) => ({
  topWidthTenthMm: width,
  topDepthTenthMm: depth,
  baseWidthTenthMm: null,
  baseDepthTenthMm: null,
  heightTenthMm: height,
  openHeightTenthMm: null,
  hasLid: false,
  stackPitchTenthMm: null,
  ...more,
});
const room: Compartment = plainRoom(9000, 4000, 3000);

describe('what is said of a fit', () => {
  it('how many, how, and how sure', () => {
    const fit = fitContainer(shape(3000, 3900, 1400, { stackPitchTenthMm: 1400 }), room);
    expect(fitHeadline(fit, 9)).toBe('Six of nine fit: 3 side by side, 2 high.');
    expect(sureWords(fit)).toBe('The most possible.');
    expect(gapWords(fit, 'metric')).toBe('Free: 0 mm left, 0 mm right, 10 mm behind, 20 mm above.');
  });
  it('one fits, none fits, and why not', () => {
    expect(fitHeadline(fitContainer(shape(8000, 3900, 2000), room), 1)).toBe('One fits.');
    const none = fitContainer(shape(3000, 3900, 3200), room);
    expect(fitHeadline(none, 3)).toBe('None fits here.');
    expect(none.reasons.map((reason) => reasonWords(reason, 'metric'))).toEqual(['20 mm too high']);
  });
  it('at a slant it says the angle', () => {
    const slant = { count: 2, how: 'slant', degrees: 19, reasons: [], provenBest: false } as unknown as ContainerFit;
    expect(fitHeadline(slant, null)).toBe('Straight, none fits. Turned 19°, two do.');
  });
});

describe('what is said of a plan', () => {
  const answer = {
    placed: [{ containerId: 'crate' }, { containerId: 'crate' }],
    shelves: [{ movedHoles: 2 }],
    left: [],
    outside: [],
    costMinor: 2980,
    bought: 2,
    stacked: 0,
    freeMl: 0,
    provenBest: false,
  };
  it('all housed, what is bought, what moves', () => {
    expect(planHeadline(factsOf(answer as never, 5), 'metric', 'EUR')).toBe(
      'All 5 groups are housed in 2 containers. 2 to buy, €29.80. 1 shelf moves.',
    );
  });
  it('what finds no room is told with its volume', () => {
    const left = [{ group: 'tents', volumeMl: 14_000 }];
    expect(planHeadline(factsOf({ ...answer, left, bought: 0, shelves: [] } as never, 5), 'metric', 'EUR')).toBe(
      '4 of 5 groups are housed; 14 l find no room. Nothing to buy.',
    );
  });
});

describe('a floor whose bins can be taken hold of', () => {
  it('has a named handle for each bin and tells which one was chosen', async () => {
    const chosen = jest.fn();
    const { places } = fitContainer(shape(3000, 3900, 2000), room);
    renderWith(
      <FloorBoard
        room={room}
        bins={places.map((body, at) => ({
          key: `k${at}`,
          body,
          tag: `A${at + 1}`,
          name: 'lanterns',
          locked: at === 1,
        }))}
        width={360}
        maxHeight={200}
        unit="metric"
        selectedKey={null}
        onSelect={chosen}
        onDrag={jest.fn()}
      />,
    );
    const handles = await screen.findAllByRole('button');
    expect(handles.map((one) => one.getAttribute('aria-label'))).toEqual([
      'A1, lanterns',
      'A2, lanterns, locked',
      'A3, lanterns',
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'A3, lanterns' }));
    expect(chosen).toHaveBeenCalledWith('k2');
  });
});
