import { readGtin, withCheckDigit, type CatalogueGoods, type CataloguePort, type ShopPort } from '@ours/core';
import { Simulated } from './Simulated';

/** With what the shop takes for one, in hundredths of the home's currency. */
type PricedGoods = CatalogueGoods & { priceMinor: number };

/**
 * A stand-in for a product catalogue and a shop: invented goods with numbers of restricted circulation (GS1 prefixes 20 to 29), which are
 * nobody's product.
 */
const GOODS: readonly [
  number: string,
  name: string,
  unit: string,
  size: string,
  category: string,
  priceMinor: number,
][] = [
  ['200000000101', 'Tomatoes, chopped', 'tin', '400 g', 'Dry goods', 89],
  ['200000000102', 'Chickpeas', 'tin', '400 g', 'Dry goods', 89],
  ['200000000103', 'Sweetcorn', 'tin', '300 g', 'Dry goods', 99],
  ['200000000104', 'Tuna', 'tin', '185 g', 'Dry goods', 149],
  ['200000000105', 'Coconut milk', 'tin', '400 ml', 'Dry goods', 159],
  ['200000000106', 'Milk', 'carton', '1 l', 'Cold', 115],
  ['200000000107', 'Oat drink', 'carton', '1 l', 'Cold', 189],
  ['200000000108', 'Yoghurt, plain', 'tub', '500 g', 'Cold', 79],
  ['200000000109', 'Cheese, sliced', 'pack', '200 g', 'Cold', 249],
  ['200000000110', 'Coffee, ground', 'pack', '500 g', 'Drinks', 649],
  ['200000000111', 'Black tea', 'box', '100 g', 'Drinks', 379],
  ['200000000112', 'Plum jam', 'jar', '370 g', 'Dry goods', 229],
  ['200000000113', 'Peanut butter', 'jar', '350 g', 'Dry goods', 299],
  ['200000000114', 'Soy sauce', 'bottle', '250 ml', 'Dry goods', 279],
  ['200000000115', 'Cat food, tins', 'tin', '200 g', 'Animals', 75],
  ['200000000116', 'Smoked paprika almonds', 'bag', '150 g', 'Dry goods', 269],
  ['200000000117', 'Pear lemonade', 'bottle', '750 ml', 'Drinks', 185],
  ['200000000118', 'Buckwheat noodles', 'pack', '250 g', 'Dry goods', 199],
  ['200000000119', 'Lavender soap', 'piece', '', 'Household', 349],
  ['200000000120', 'Sea salt crackers', 'pack', '125 g', 'Dry goods', 155],
];

const byGtin = new Map<string, PricedGoods>();
for (const [number, name, unit, size, category, priceMinor] of GOODS) {
  const read = readGtin(withCheckDigit(number));
  if (!read.ok) continue;
  const [amount, of] = size.split(' ');
  const packSize = amount && of ? { amountThousandths: Number(amount) * 1000, unit: of } : null;
  byGtin.set(read.gtin, { gtin: read.gtin, name, unit, packSize, category, priceMinor });
}

export class SimulatedCatalogue extends Simulated<{ there: boolean; battery: number | null }> implements CataloguePort {
  constructor() {
    super('catalogue', { there: true, battery: null });
  }
  look(gtin: string): CatalogueGoods | null {
    return this.isThere() ? (byGtin.get(gtin) ?? null) : null;
  }
}
export class SimulatedShop extends Simulated<{ there: boolean; battery: number | null }> implements ShopPort {
  constructor() {
    super('shop', { there: true, battery: null });
  }
  priceOf(gtin: string): number | null {
    return this.isThere() ? (byGtin.get(gtin)?.priceMinor ?? null) : null;
  }
}
export const catalogue = new SimulatedCatalogue();
export const shop = new SimulatedShop();

/** Some of what can be held before the simulated scanner. */
export const SAMPLE_GOODS: readonly CatalogueGoods[] = [...byGtin.values()].slice(0, 6);
