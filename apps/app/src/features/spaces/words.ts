import type { BinLook, SpaceKind } from '@ours/core';

export const SPACE_KIND_WORDS: Readonly<Record<SpaceKind, string>> = {
  storage_rack: 'Storage rack',
  closet: 'Closet',
  cupboard: 'Cupboard',
  chest_freezer: 'Chest freezer',
  upright_freezer: 'Upright freezer',
  refrigerator: 'Refrigerator',
  drawer_unit: 'Drawer unit',
  medicine_cupboard: 'Medicine cupboard',
  vehicle: 'Vehicle',
  other: 'Other',
};

export const BIN_LOOK_WORDS: Readonly<Record<BinLook, string>> = {
  see_through: 'See-through',
  woven: 'Woven',
  slatted: 'Slatted',
  closed: 'Closed',
  kept_free: 'Kept free',
};

/** Up to three names, then how many more. */
export function namesWords(names: readonly string[], most = 3): string {
  const shown = names.slice(0, most).join(', ');
  return names.length > most ? `${shown} and ${names.length - most} more` : shown;
}

export const CAUTIONS: Partial<Record<SpaceKind, string>> = {
  storage_rack:
    'Fix a tall rack to the wall’s structure, put heavy things low, and keep to its load rating; the bins count too.',
  chest_freezer:
    '−18 °C (0 °F) or below. Frozen food stays safe; its quality fades with the months. When in doubt, throw it out.',
  upright_freezer:
    '−18 °C (0 °F) or below. Frozen food stays safe; its quality fades with the months. When in doubt, throw it out.',
  refrigerator: '4 °C (40 °F) or below. Raw meat and fish lowest, ready-to-eat above. When in doubt, throw it out.',
  medicine_cupboard:
    'Keep it locked; height does not stop a child who climbs. Read the package and ask a pharmacist or doctor.',
};

/** Said beside things that are dangerous together; by tag. */
export const CHEMICAL_CAUTION =
  'Never mix chlorine bleach with acids or ammonia products. Keep cleaners in their own labelled containers, away from children and food.';
