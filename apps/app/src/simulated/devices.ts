/** Stand-ins for the devices of a home. What they show follows from their knobs alone; the screens say that they are simulated. */
import {
  dotsAcross,
  type DotPicture,
  type LabelPrinterPort,
  type LoggedTemperature,
  type PrintAnswer,
  type ScalePort,
  type ScaleReading,
  type ScannerPort,
  type ThermometerPort,
} from '@ours/core';
import { Simulated } from './Simulated';

/** A scanner that reads what is typed into its panel. */
export class SimulatedScanner extends Simulated<{ there: boolean; battery: number | null }> implements ScannerPort {
  private readonly hearing = new Set<(text: string) => void>();
  constructor() {
    super('scanner', { there: true, battery: 80 });
  }
  listen = (hear: (text: string) => void): (() => void) => {
    this.hearing.add(hear);
    return () => this.hearing.delete(hear);
  };
  /** Holds something before it. @returns whether it read it */
  show(text: string): boolean {
    if (!this.isThere()) return false;
    for (const hear of this.hearing) hear(text);
    return true;
  }
}

/** How long its figures swing after something was put on it. */
export const SWING_MS = 1200;

/** A kitchen scale with something on it. */
export class SimulatedScale
  extends Simulated<{ there: boolean; battery: number | null; grams: number; tareGrams: number }>
  implements ScalePort
{
  private steadyAt = 0;
  constructor(private readonly clock: () => number = Date.now) {
    super('scale', { there: true, battery: 60, grams: 820, tareGrams: 320 });
  }
  /** Puts so much on it in all. */
  put(grams: number): void {
    this.steadyAt = this.clock() + SWING_MS;
    this.turn({ grams });
    // Once the figures stand still, whoever looks is told.
    setTimeout(() => this.turn({}), SWING_MS + 1);
  }
  reading(): ScaleReading | null {
    if (!this.isThere()) return null;
    const { grams, tareGrams } = this.now;
    return {
      grossGrams: grams,
      tareGrams,
      netGrams: grams - tareGrams,
      stable: this.clock() >= this.steadyAt,
    };
  }
  tare(): void {
    if (this.reading()?.stable) this.turn({ tareGrams: this.now.grams });
  }
}

/** How it went in a place lately. */
export const WEATHERS = ['steady', 'power_cut', 'door_open', 'away'] as const;
export type Weather = (typeof WEATHERS)[number];
const HOUR_MS = 3_600_000;
const EVERY_MS = 3 * HOUR_MS;
/** A night of nine hours without power, every three hours; tenths of a degree Celsius. All made up. */
const NIGHTS: Readonly<Record<'freezer' | 'refrigerator', Readonly<Record<Weather, readonly (number | null)[]>>>> = {
  freezer: {
    steady: [-190, -188, -190, -189, -190],
    power_cut: [-180, -140, -80, -20, 60],
    door_open: [-190, -188, -120, -170, -188],
    away: [-190, -188, null, null, -120],
  },
  refrigerator: {
    steady: [40, 38, 40, 39, 40],
    power_cut: [40, 60, 90, 120, 80],
    door_open: [40, 39, 85, 52, 40],
    away: [40, 39, null, null, 70],
  },
};

/** A thermometer in a freezer or refrigerator that writes down what it shows. */
export class SimulatedThermometer
  extends Simulated<{ there: boolean; battery: number | null; weather: Weather }>
  implements ThermometerPort
{
  constructor(
    spaceId: string,
    private readonly of: 'freezer' | 'refrigerator',
    private readonly clock: () => number = Date.now,
  ) {
    super(`thermometer-${spaceId}`, { there: true, battery: 90, weather: 'power_cut' });
  }
  log(): LoggedTemperature[] {
    if (!this.isThere()) return [];
    // From 20:00 of the evening before.
    const evening = new Date(this.clock());
    evening.setHours(20, 0, 0, 0);
    evening.setDate(evening.getDate() - 1);
    return NIGHTS[this.of][this.now.weather].flatMap((tenthC, at): LoggedTemperature[] =>
      tenthC === null ? [] : [{ at: new Date(evening.getTime() + at * EVERY_MS).toISOString(), tenthC }],
    );
  }
}

/** Labels that a roll holds. */
const ROLL = 200;
export const PRINTER_DPI = [203, 300] as const;
export const PRINTER_MEDIA = ['62x40', '50x30'] as const;
interface PrinterKnobs {
  there: boolean;
  battery: number | null;
  dpi: (typeof PRINTER_DPI)[number];
  media: (typeof PRINTER_MEDIA)[number];
  left: number;
}

/** A label printer that shows the dots it would burn. */
export class SimulatedPrinter extends Simulated<PrinterKnobs> implements LabelPrinterPort {
  constructor() {
    // Dots an inch and widths of tape: usual ones, common practice, no source.
    super('printer', { there: true, battery: 70, dpi: 300, media: '62x40', left: ROLL });
  }
  newRoll(): void {
    this.turn({ left: ROLL });
  }
  media(): ReturnType<LabelPrinterPort['media']> {
    const { dpi, media, left } = this.now;
    const [widthMm = 0, heightMm = 0] = media.split('x').map(Number);
    return { dpi, widthMm, heightMm, left };
  }
  print(labels: readonly DotPicture[]): PrintAnswer {
    if (!this.now.there) return { ok: false, why: 'away', printed: 0 };
    if (this.now.battery === 0) return { ok: false, why: 'low_battery', printed: 0 };
    const { dpi, widthMm, heightMm, left } = this.media();
    const holds: [number, number] = [dotsAcross(widthMm, dpi), dotsAcross(heightMm, dpi)];
    const other = labels.find(({ width, height }) => width !== holds[0] || height !== holds[1]);
    if (other) return { ok: false, why: 'wrong_size', printed: 0, holds, sent: [other.width, other.height] };
    const printed = Math.min(left, labels.length);
    this.turn({ left: left - printed });
    return printed < labels.length ? { ok: false, why: 'out_of_labels', printed } : { ok: true, printed };
  }
}

export const scanner = new SimulatedScanner();
export const scale = new SimulatedScale();
export const printer = new SimulatedPrinter();
const thermometers = new Map<string, SimulatedThermometer>();
/** The thermometer that is thought to be in a space. */
export function thermometerOf(spaceId: string, of: 'freezer' | 'refrigerator'): SimulatedThermometer {
  const known = thermometers.get(spaceId) ?? new SimulatedThermometer(spaceId, of);
  thermometers.set(spaceId, known);
  return known;
}
