import { defineEntity, length, mass, money, oneOf, orNull, text, volume, whole, yesNo } from '../definition';
import { BIN_LOOKS } from '../spaces/bin.entity';

/** A type of container that can be owned, bought and measured; outside measures unless it says inside. */
export const container = defineEntity('container', {
  fields: {
    name: text(1, 120),
    look: oneOf(...BIN_LOOKS),
    /** Containers that match: same maker's line, same colour. Empty: none. */
    family: text(0, 60),
    colour: text(0, 60),
    topWidthTenthMm: length(),
    topDepthTenthMm: length(),
    baseWidthTenthMm: orNull(length()),
    baseDepthTenthMm: orNull(length()),
    heightTenthMm: length(),
    hasLid: yesNo,
    /** With the lid open. */
    openHeightTenthMm: orNull(length()),
    innerVolumeMl: orNull(volume),
    insideWidthTenthMm: orNull(length()),
    insideDepthTenthMm: orNull(length()),
    insideHeightTenthMm: orNull(length()),
    /** How much higher a stack grows with each; null: not stacked. */
    stackPitchTenthMm: orNull(length()),
    nestPitchTenthMm: orNull(length()),
    maxLoadGrams: orNull(mass),
    weightGrams: orNull(mass),
    priceMinor: orNull(money),
    owned: whole(0, 10_000),
    /** Came for free: a shoe box, a crate. */
    free: yesNo,
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
