declare module 'gs1-barcode-parser-mod' {
  export function parseBarcode(code: string): { parsedCodeItems: { ai: string; data: unknown }[] };
}
