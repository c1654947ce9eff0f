import { lengthField } from '@ours/core';

const side = (label: string) => ({ label, field: lengthField() });
/** From somewhere: 0 is at that place itself. */
const distance = (label: string) => ({ label, field: lengthField(0) });

/** What is asked about a thing that stands on a shelf. */
export const ON_SHELF_FIGURES = {
  widthTenthMm: side('Wide'),
  depthTenthMm: side('Deep'),
  heightTenthMm: side('High'),
  leftTenthMm: distance('From the left'),
};
/** What is asked about a thing that stands anywhere in a space. */
export const IN_SPACE_FIGURES = {
  ...ON_SHELF_FIGURES,
  frontTenthMm: distance('From the front'),
  bottomTenthMm: distance('From the foot'),
};
/** Distances begin at 0: the thing stands in the corner. */
export const IN_THE_CORNER = { leftTenthMm: '0', frontTenthMm: '0', bottomTenthMm: '0' };
