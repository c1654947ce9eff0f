/** The three outer measures, side by side. */
export const MEASURE_INPUTS = {
  widthTenthMm: { label: 'Wide', narrow: true },
  heightTenthMm: { label: 'High', narrow: true },
  depthTenthMm: { label: 'Deep', narrow: true },
};
