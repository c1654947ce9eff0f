/**
 * What each kind of device has to do, whether it is real or simulated. `make` gives one that is there, with ways to do to it what a
 * person would do to the thing itself.
 */
import {
  dotsAcross,
  type CataloguePort,
  type DevicePort,
  type LabelPrinterPort,
  type ScalePort,
  type ScannerPort,
  type ShopPort,
  type ThermometerPort,
} from '@ours/core';

/** A device in somebody's hands. */
interface InHand<Port extends DevicePort> {
  device: Port;
  drop: () => void;
  connect: () => void;
}

function anyDevice<Port extends DevicePort>(make: () => InHand<Port>): void {
  it('says when its connection comes and goes', () => {
    const { device, drop, connect } = make();
    let told = 0;
    const stop = device.subscribe(() => told++);
    expect(device.isThere()).toBe(true);
    drop();
    expect([device.isThere(), told]).toEqual([false, 1]);
    stop();
    connect();
    expect([device.isThere(), told]).toEqual([true, 1]);
  });
}

export function acceptScanner(name: string, make: () => InHand<ScannerPort> & { show: (text: string) => void }): void {
  describe(`scanner: ${name}`, () => {
    anyDevice(make);
    it('hands on what it reads, to all who listen and no longer; while it is away nothing', () => {
      const { device, show, drop } = make();
      const [one, other]: string[][] = [[], []];
      const stop = device.listen((text) => one!.push(text));
      device.listen((text) => other!.push(text));
      show('6291041500213');
      stop();
      show('BL1-AC');
      drop();
      show('96385074');
      expect([one, other]).toEqual([['6291041500213'], ['6291041500213', 'BL1-AC']]);
    });
  });
}

export function acceptScale(
  name: string,
  make: () => InHand<ScalePort> & { put: (grams: number) => void; wait: () => void },
): void {
  describe(`scale: ${name}`, () => {
    anyDevice(make);
    it('net is gross less tare; it is not stable right after something was put on it', () => {
      const { device, put, wait } = make();
      put(300);
      expect(device.reading()).toMatchObject({ grossGrams: 300, stable: false });
      const before = device.reading()!.tareGrams;
      device.tare();
      expect(device.reading()!.tareGrams).toBe(before);
      wait();
      device.tare();
      expect(device.reading()).toEqual({ grossGrams: 300, tareGrams: 300, netGrams: 0, stable: true });
      put(1250);
      wait();
      expect(device.reading()).toMatchObject({ netGrams: 950, stable: true });
    });
    it('away it shows nothing', () => {
      const { device, drop } = make();
      drop();
      expect(device.reading()).toBeNull();
    });
  });
}

export function acceptThermometer(name: string, make: () => InHand<ThermometerPort>): void {
  describe(`thermometer: ${name}`, () => {
    anyDevice(make);
    it('logs instants in order with tenths of a degree', () => {
      const log = make().device.log();
      expect(log.length).toBeGreaterThan(1);
      expect(log.map(({ at }) => at)).toEqual([...log.map(({ at }) => at)].sort());
      expect(log.every(({ at, tenthC }) => new Date(at).toISOString() === at && Number.isInteger(tenthC))).toBe(true);
    });
  });
}

export function acceptPrinter(
  name: string,
  make: () => InHand<LabelPrinterPort> & { leave: (labels: number) => void },
): void {
  describe(`label printer: ${name}`, () => {
    const label = (device: LabelPrinterPort, off = 0) => {
      const { dpi, widthMm, heightMm } = device.media();
      const [width, height] = [dotsAcross(widthMm, dpi) + off, dotsAcross(heightMm, dpi)];
      return { width, height, dots: [] };
    };
    anyDevice(make);
    it('prints what fits its labels, and counts them down', () => {
      const { device } = make();
      const { left } = device.media();
      expect(device.print([label(device), label(device)])).toEqual({ ok: true, printed: 2 });
      expect(device.media().left).toBe(left - 2);
    });
    it('out of labels it says how many came out; another size and away it prints none', () => {
      const { device, leave, drop } = make();
      leave(1);
      expect(device.print([label(device), label(device)])).toEqual({ ok: false, why: 'out_of_labels', printed: 1 });
      leave(5);
      expect(device.print([label(device, 1)])).toMatchObject({ ok: false, why: 'wrong_size', printed: 0 });
      expect(device.media().left).toBe(5);
      drop();
      expect(device.print([label(device)])).toMatchObject({ ok: false, why: 'away', printed: 0 });
    });
  });
}

export function acceptCatalogue(name: string, known: string, make: () => InHand<CataloguePort>): void {
  describe(`catalogue: ${name}`, () => {
    anyDevice(make);
    it('knows what it knows, and nothing while it is away', () => {
      const { device, drop } = make();
      expect(device.look(known)).toMatchObject({ gtin: known });
      expect(device.look('00000000000017')).toBeNull();
      drop();
      expect(device.look(known)).toBeNull();
    });
  });
}

export function acceptShop(name: string, sold: string, make: () => InHand<ShopPort>): void {
  describe(`shop: ${name}`, () => {
    anyDevice(make);
    it('has a price for what it sells, and none while it is away', () => {
      const { device, drop } = make();
      expect(device.priceOf(sold)).toBeGreaterThan(0);
      expect(device.priceOf('00000000000017')).toBeNull();
      drop();
      expect(device.priceOf(sold)).toBeNull();
    });
  });
}
