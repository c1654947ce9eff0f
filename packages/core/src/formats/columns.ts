/** Columns of a table of stock by what they mean, whatever they are called. */
import { foldText } from '../base';

/** What a column of a table of stock may say. */
export const STOCK_COLUMNS = [
  'what',
  'amount',
  'unit',
  'where',
  'until',
  'date kind',
  'opened',
  'frozen',
  'batch',
  'size',
  'category',
  'mark',
  'codes',
] as const;
export type StockColumn = (typeof STOCK_COLUMNS)[number];

/** As such columns are called in tables of several languages; the first is what this app writes. */
const NAMES: Readonly<Record<StockColumn, string>> = {
  what: 'what|name|item|thing|product|article|description|things|artikel|bezeichnung|name des artikels|ding|produkt|gegenstand|nom|produit|designation|objet|vara|varor|benamning|nombre|articulo|producto|naam|omschrijving',
  amount:
    'how many|amount|quantity|qty|count|number|stock|on hand|menge|anzahl|bestand|stuckzahl|quantite|qte|nombre d unites|stock actuel|antal|mangd|cantidad|existencias|aantal|hoeveelheid',
  unit: 'unit|units|uom|einheit|mengeneinheit|unite|enhet|unidad|eenheid',
  where:
    'where|place|location|code|bin|shelf|storage|ort|platz|lagerort|fach|regal|lagerplatz|emplacement|lieu|place de rangement|rangement|plats|hylla|lugar|ubicacion|plaats|locatie',
  until:
    'until|best before|use by|expires|expiry|expiry date|expiration|expiration date|bb date|date|haltbar bis|mhd|mindestens haltbar bis|ablaufdatum|verfallsdatum|ddm|dlc|dluo|date limite|peremption|date de peremption|a consommer avant|bast fore|utgangsdatum|caducidad|fecha de caducidad|houdbaar tot|tht',
  'date kind': 'date kind|kind of date|datumsart|type de date',
  opened: 'opened|opened on|open since|geoffnet|geoffnet am|ouvert|ouvert le|oppnad|abierto|geopend',
  frozen: 'frozen|frozen on|eingefroren|eingefroren am|congele|congele le|infryst|congelado|ingevroren',
  batch: 'batch|lot|lot number|batch number|charge|chargennummer|numero de lot|parti|lote|partij',
  size: 'size|pack size|content|packung|packungsgrosse|inhalt|taille|contenance|conditionnement|storlek|tamano|maat|inhoud',
  category:
    'category|group|kind|type|kategorie|gruppe|warengruppe|categorie|groupe|rayon|kategori|grupp|categoria|soort',
  mark: 'mark|minimum|min|low at|buy at|reorder level|mindestbestand|meldebestand|seuil|stock minimum|stock mini|minsta antal|minimo|minimum voorraad',
  codes:
    'codes|barcode|bar code|gtin|ean|upc|strichcode|code barres|code barre|streckkod|codigo de barras|streepjescode',
};
const MEANING = new Map<string, StockColumn>(
  STOCK_COLUMNS.flatMap((column) => NAMES[column].split('|').map((name): [string, StockColumn] => [name, column])),
);

/** A word of a table as it is compared: without what stands in brackets, accents, signs and capitals. */
export const tableWord = (head: string): string =>
  foldText(head.replace(/\(.*?\)/g, ' '))
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What a head means; null: it is not known. */
export const meaningOf = (head: string): StockColumn | null => MEANING.get(tableWord(head)) ?? null;

/**
 * What each column of a table means, by its first row; a meaning is given once, to the column that comes first.
 * @returns null where no head is known: then the first row is a row like the others
 */
export function columnsOfHead(head: readonly string[]): (StockColumn | null)[] | null {
  const taken = new Set<StockColumn>();
  const columns = head.map((name) => {
    const column = meaningOf(name);
    if (column === null || taken.has(column)) return null;
    taken.add(column);
    return column;
  });
  return taken.size === 0 ? null : columns;
}
