export { looksLikeElements, readElements, type ScannedGoods, withCheckDigit } from './gs1';
export { type Gtin, gtinAsPrinted, isRestricted, looksLikeGtin, readGtin } from './gtin';
export { type CodeProblem } from './problem';
export { isTradeCode, itemsOfCode, readTradeCode, withCode } from './tradeCode';
export { readScan, type ScanReading } from './readScan';
