/** Reads bar codes and scan codes from pictures, with the package's own reader served from here. */
type Detector = InstanceType<(typeof import('barcode-detector/ponyfill'))['BarcodeDetector']>;

/** Forms of codes that are read: on goods, on labels, on books. */
const FORMATS = ['qr_code', 'ean_13', 'ean_8', 'upc_a', 'upc_e', 'code_128', 'data_matrix', 'itf', 'databar'] as const;
const READER = '/vendor/zxing_reader.wasm';

let detector: Promise<Detector> | null = null;
async function make(): Promise<Detector> {
  const { BarcodeDetector, prepareZXingModule } = await import('barcode-detector/ponyfill');
  prepareZXingModule({ overrides: { locateFile: () => READER } });
  return new BarcodeDetector({ formats: [...FORMATS] });
}

/** What stands in the codes of a picture; empty: none was found. @throws Error when the reader could not be loaded */
export async function readPicture(picture: Blob | HTMLVideoElement): Promise<string[]> {
  detector ??= make();
  try {
    const found = await (await detector).detect(picture);
    return found.map(({ rawValue }) => rawValue).filter((text) => text !== '');
  } catch (error) {
    detector = null;
    throw error;
  }
}
