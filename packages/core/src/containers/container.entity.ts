import { added, defineEntity, length, mass, money, oneOf, orNull, text, volume, whole, yesNo } from '../definition';
import { BIN_LOOKS } from '../spaces/bin.entity';

/**
 * What is not simply set down and lifted out.
 * - `turntable`: round, turned about: what stands on it is reached without lifting anything away
 * - `pull_out`: a tray or basket on runners: pulled out, never lifted
 * - `under_shelf`: hung under the shelf above
 */
export const CONTAINER_FORMS = ['turntable', 'pull_out', 'under_shelf'] as const;
export type ContainerForm = (typeof CONTAINER_FORMS)[number];

export const MOST_SECTIONS = 100;

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
    /** Null: set down and lifted out. */
    form: added(orNull(oneOf(...CONTAINER_FORMS))),
    /** Sections it is divided into, or small boxes that stand in it, alike; null: one room. */
    sections: added(orNull(whole(2, MOST_SECTIONS))),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
