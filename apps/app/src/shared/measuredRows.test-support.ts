import { BARE_SHELF_BUILD, BARE_SPACE_BUILD, type TaggedRow } from '@ours/core';
import { sampleRows } from '@/data/store/sampleRows.test-support';

export const BOX = '019ab2f0-0000-7000-8000-000000000008';

/** The sample rack, measured, and four boxes of one kind in the house. */
export function measuredRows(): TaggedRow[] {
  const rows = sampleRows().map((tagged): TaggedRow => {
    if (tagged.entity === 'space')
      return {
        entity: 'space',
        row: { ...tagged.row, build: { ...BARE_SPACE_BUILD, postDepthTenthMm: 350, loadGrams: 200_000 } },
      };
    if (tagged.entity !== 'shelf') return tagged;
    const measures = { bottomTenthMm: 16_400, widthTenthMm: 17_300, depthTenthMm: 4800, heightTenthMm: 4000 };
    return { entity: 'shelf', row: { ...tagged.row, ...measures, build: { ...BARE_SHELF_BUILD, loadGrams: 60_000 } } };
  });
  rows.push({
    entity: 'container',
    row: {
      id: BOX,
      seq: 1,
      retired: false,
      name: 'lid box',
      look: 'see_through',
      family: 'River clear',
      colour: '',
      topWidthTenthMm: 4000,
      topDepthTenthMm: 4600,
      baseWidthTenthMm: null,
      baseDepthTenthMm: null,
      heightTenthMm: 3400,
      hasLid: true,
      openHeightTenthMm: 7600,
      innerVolumeMl: 48_000,
      insideWidthTenthMm: null,
      insideDepthTenthMm: null,
      insideHeightTenthMm: null,
      stackPitchTenthMm: null,
      nestPitchTenthMm: null,
      maxLoadGrams: null,
      weightGrams: 2000,
      priceMinor: 1490,
      owned: 4,
      free: false,
    },
  });
  return rows;
}
