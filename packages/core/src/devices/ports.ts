/** What the app asks of the devices of a home, one port for each kind. Whether one is real or simulated makes no other difference. */
import type { PackSize } from '../household';

/** What all devices have in common. */
export interface DevicePort {
  /** A stand-in that ships with the app: the screens say so. */
  readonly simulated: boolean;
  /** Whether it answers now. */
  isThere(): boolean;
  /** 0 to 100; null: it has none. */
  battery(): number | null;
  /** Is told whenever anything about it changes. @returns how to stop */
  subscribe(tell: () => void): () => void;
}
/** At or below this a battery is low. Own default. */
export const LOW_BATTERY_PERCENT = 15;

export interface ScannerPort extends DevicePort {
  /** Hears each code that is read, as text. @returns how to stop */
  listen(hear: (text: string) => void): () => void;
}

export interface ScaleReading {
  /** All that lies on it, grams. */
  grossGrams: number;
  /** What it takes off, grams. */
  tareGrams: number;
  netGrams: number;
  /** Only then it may be taken over. */
  stable: boolean;
}
export interface ScalePort extends DevicePort {
  /** Null: it does not answer. */
  reading(): ScaleReading | null;
  /** Takes off what lies on it now; nothing happens while that is not stable. */
  tare(): void;
}

export interface LoggedTemperature {
  /** Instant, ISO UTC. */
  at: string;
  /** Tenths of a degree Celsius. */
  tenthC: number;
}
export interface ThermometerPort extends DevicePort {
  /** What it logged, in order; while it was away nothing. */
  log(): readonly LoggedTemperature[];
}

/** A label as the dots that are burned, row by row from the top left. */
export interface DotPicture {
  width: number;
  height: number;
  dots: readonly boolean[];
}
export type PrintAnswer =
  | { ok: true; printed: number }
  | { ok: false; why: 'away' | 'out_of_labels' | 'low_battery'; printed: number }
  /** Labels for another size than what lies in it: dots that are there, dots that were sent. */
  | {
      ok: false;
      why: 'wrong_size';
      printed: 0;
      holds: [width: number, height: number];
      sent: [width: number, height: number];
    };
export interface LabelPrinterPort extends DevicePort {
  /** Dots an inch, and the label in it, mm. */
  media(): { dpi: number; widthMm: number; heightMm: number; left: number };
  /** Prints as many as it can; what was printed is said also when it stops. */
  print(labels: readonly DotPicture[]): PrintAnswer;
}

/** What a catalogue says of a trade number. */
export interface CatalogueGoods {
  gtin: string;
  name: string;
  unit: string;
  packSize: PackSize | null;
  category: string;
}
export interface CataloguePort extends DevicePort {
  /** Null: it does not know it, or does not answer. */
  look(gtin: string): CatalogueGoods | null;
}
export interface ShopPort extends DevicePort {
  /** For one, in hundredths of the home's currency; null: it does not sell it, or does not answer. */
  priceOf(gtin: string): number | null;
}

const MM_AN_INCH = 25.4;
/** How many dots a length has. @example dotsAcross(62, 300) //=> 732 */
export const dotsAcross = (mm: number, dpi: number): number => Math.round((mm * dpi) / MM_AN_INCH);
