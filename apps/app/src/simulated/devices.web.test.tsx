import type { DevicePort, ScannerPort } from '@ours/core';
import { Wedge } from '@/kit/scan/wedge';
import {
  acceptCatalogue,
  acceptPrinter,
  acceptScale,
  acceptScanner,
  acceptShop,
  acceptThermometer,
} from './acceptance.test-support';
import { SimulatedPrinter, SimulatedScale, SimulatedScanner, SimulatedThermometer, SWING_MS } from './devices';
import { SAMPLE_GOODS, SimulatedCatalogue, SimulatedShop } from './goods';

beforeEach(() => {
  localStorage.clear();
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

const inHand = <D extends DevicePort & { turn: (change: { there: boolean }) => void }>(device: D) => ({
  device,
  drop: () => device.turn({ there: false }),
  connect: () => device.turn({ there: true }),
});
acceptScanner('simulated', () => {
  const device = new SimulatedScanner();
  return { ...inHand(device), show: (text) => void device.show(text) };
});

/** A scanner that types, as it is on a table: its letters come as keys. Unplugged, none come. */
class TypingScanner implements ScannerPort {
  readonly simulated = false;
  private there = true;
  private ms = 0;
  private readonly told = new Set<() => void>();
  private readonly hearing = new Set<(text: string) => void>();
  private readonly wedge = new Wedge(
    () => true,
    (text) => this.hearing.forEach((hear) => hear(text)),
  );
  isThere = (): boolean => this.there;
  battery = (): null => null;
  subscribe = (tell: () => void) => {
    this.told.add(tell);
    return () => this.told.delete(tell);
  };
  listen = (hear: (text: string) => void) => {
    this.hearing.add(hear);
    return () => this.hearing.delete(hear);
  };
  turn({ there }: { there: boolean }): void {
    this.there = there;
    this.told.forEach((tell) => tell());
  }
  show(text: string): void {
    this.ms += 1000;
    if (!this.there) return;
    for (const key of [...text, 'Enter'])
      this.wedge.key({ key, timeStamp: (this.ms += 8), ctrlKey: false, metaKey: false, altKey: false });
  }
}
acceptScanner('one that types', () => {
  const device = new TypingScanner();
  return { ...inHand(device), show: (text) => device.show(text) };
});

acceptScale('simulated', () => {
  let now = 0;
  const device = new SimulatedScale(() => now);
  return { ...inHand(device), put: (grams) => device.put(grams), wait: () => (now += SWING_MS) };
});
acceptThermometer('simulated', () => inHand(new SimulatedThermometer('porch', 'freezer')));
acceptPrinter('simulated', () => {
  const device = new SimulatedPrinter();
  return { ...inHand(device), leave: (left) => device.turn({ left }) };
});
const [some] = SAMPLE_GOODS;
acceptCatalogue('simulated', some!.gtin, () => inHand(new SimulatedCatalogue()));
acceptShop('simulated', some!.gtin, () => inHand(new SimulatedShop()));

it('knobs are kept on the device; an empty battery is as being away', () => {
  new SimulatedScale().turn({ grams: 700 });
  expect(new SimulatedScale().reading()).toMatchObject({ grossGrams: 700 });
  const flat = new SimulatedScale();
  flat.turn({ battery: 0 });
  expect([flat.isThere(), flat.reading()]).toEqual([false, null]);
});
