export {
  type CatalogueGoods,
  type CataloguePort,
  type DevicePort,
  type DotPicture,
  dotsAcross,
  type LabelPrinterPort,
  type LoggedTemperature,
  LOW_BATTERY_PERCENT,
  type PrintAnswer,
  type ScalePort,
  type ScaleReading,
  type ScannerPort,
  type ShopPort,
  type ThermometerPort,
} from './ports';
export { KEPT_BELOW_TENTH_C, type LogView, viewOfLog } from './temperatureLog';
