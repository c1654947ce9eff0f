import { layOutFront, type BinRow, type NookSummary, type ShelfRow, type SpaceRow } from '@ours/core';
import { fireEvent, screen } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { renderWith } from '@/kit/renderWith.test-support';
import { linesThatFit } from './DrawingLabels';
import { OpenDoorView } from './OpenDoorView';

const rows = sampleRows();
const rowOf = <T,>(entity: string): T => rows.find((tagged) => tagged.entity === entity)!.row as T;
const empty: NookSummary = { lots: 0, itemNames: [], late: 0, soon: 0, low: 0, pleaseCount: 0 };
const bin = rowOf<BinRow>('bin');
const kept: BinRow = { ...bin, id: 'kept', name: 'spare lanterns', look: 'kept_free', code: 'BL1-A2T' };
const bare: ShelfRow = { ...rowOf<ShelfRow>('shelf'), id: 'bare', code: 'BL1-BX' };

function draw(summary: NookSummary, hereId: string | null = null) {
  const pressed = jest.fn();
  const view = layOutFront(rowOf<SpaceRow>('space'), [rowOf<ShelfRow>('shelf'), bare], (id) =>
    id === ID.shelf ? [bin, kept] : [],
  );
  renderWith(
    <OpenDoorView
      view={view}
      width={360}
      maxHeight={400}
      hereId={hereId}
      summaryOf={(id) => (id === bin.id ? summary : empty)}
      onPressNook={pressed}
    />,
  );
  return pressed;
}

describe('the open-door view', () => {
  it('has a named button for every bin and for a shelf without bins', () => {
    const pressed = draw({ ...empty, lots: 3, late: 1, soon: 2, low: 1 });
    const names = screen.getAllByRole('button').map((button) => button.getAttribute('aria-label'));
    expect(names).toEqual([
      'Bin A1, paper lanterns, 1 too late, 2 ending soon, 1 low, 3 things',
      'Bin A2, spare lanterns, kept free',
      'Shelf B, shelf',
    ]);
    fireEvent.click(screen.getByRole('button', { name: /^Bin A1/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Shelf B, shelf' }));
    expect(pressed.mock.calls).toEqual([[bin.id], ['bare']]);
  });

  it('gives a bin that is drawn very narrow the room that a finger needs', () => {
    const slim: BinRow = { ...bin, id: 'slim', name: 'pegs', leftTenthMm: 100, widthTenthMm: 400, heightTenthMm: 1500 };
    const view = layOutFront(rowOf<SpaceRow>('space'), [rowOf<ShelfRow>('shelf')], () => [slim]);
    const drawn = view.shelves[0]!.bins[0]!.box;
    expect((drawn.width / view.outer.width) * 360).toBeLessThan(24);
    renderWith(
      <OpenDoorView view={view} width={360} maxHeight={400} summaryOf={() => empty} onPressNook={jest.fn()} />,
    );
    const { width, height } = screen.getByRole('button', { name: /^Bin A1, pegs/ }).style;
    expect(parseFloat(width)).toBeGreaterThanOrEqual(24);
    expect(parseFloat(height)).toBeGreaterThanOrEqual(24);
  });

  it('lights the answer and only it', () => {
    draw({ ...empty, lots: 1 }, bin.id);
    const lit = Array.from(document.querySelectorAll('path')).filter(
      (path) => path.getAttribute('fill') === '#F3B61F' && path.getAttribute('stroke-width') === '3',
    );
    expect(lit).toHaveLength(1);
  });

  it.each<[string, number, number, string[]]>([
    ['tea lights', 80, 1, ['tea lights']],
    ['fair table cloths', 80, 2, ['fair table', 'cloths']],
    ['fair table cloths', 80, 1, []],
    ['fair table cloths', 50, 3, ['fair', 'table', 'cloths']],
    ['fair table cloths', 40, 3, []],
    ['', 40, 3, []],
  ])('writes “%s” into %d px and %d lines as %j: never cut', (name, width, most, shown) =>
    expect(linesThatFit(name, width, 13, most)).toEqual(shown),
  );
});
