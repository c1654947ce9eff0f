/** Kinds of places by their words in tables. */
import type { ShelfKind, SpaceKind } from '../household';
import { tableWord } from './columns';

/** What a new place is to be. */
export type PlaceSort =
  { place: 'space'; kind: SpaceKind } | { place: 'shelf'; kind: ShelfKind } | { place: 'bin'; kind: 'bin' };

/** As such kinds are called in tables of several languages; the first is what this app writes. */
const SPACES: Readonly<Record<SpaceKind, string>> = {
  storage_rack: 'storage rack|rack|shelving|regal|lagerregal|etagere|hyllstall|estanteria|stelling',
  closet: 'closet|wardrobe|kleiderschrank|wascheschrank|penderie|garderob|armario|kleerkast',
  cupboard: 'cupboard|cabinet|press|pantry|schrank|vorratsschrank|placard|armoire|skap|skafferi|alacena|kast',
  chest_freezer: 'chest freezer|gefriertruhe|tiefkuhltruhe|congelateur coffre|frysbox|arcon congelador|vrieskist',
  upright_freezer: 'upright freezer|gefrierschrank|congelateur armoire|frysskap|congelador vertical|vrieskast',
  refrigerator: 'refrigerator|fridge|kuhlschrank|refrigerateur|frigo|kylskap|nevera|frigorifico|koelkast',
  drawer_unit: 'drawer unit|chest of drawers|kommode|schubladenschrank|commode|byra|cajonera|ladekast',
  medicine_cupboard: 'medicine cupboard|medicine cabinet|arzneischrank|armoire a pharmacie|medicinskap|botiquin',
  vehicle: 'vehicle|car|van|auto|fahrzeug|voiture|bil|coche',
  other: 'space|other|other space|raum|platz|stauraum|espace|utrymme|espacio|ruimte',
};
const SHELVES: Readonly<Record<ShelfKind, string>> = {
  shelf: 'shelf|board|fach|fachboden|boden|tablette|rayon|hylla|hyllplan|estante|plank',
  drawer: 'drawer|schublade|tiroir|lada|cajon|lade',
  door_rack: 'door rack|door shelf|turfach|balconnet|dorrhylla',
  hanging_basket: 'hanging basket|hangekorb|panier suspendu|hangkorg',
  hook_rail: 'hook rail|hooks|hakenleiste|barre a crochets|kroklist',
  floor: 'floor|fussboden|sol|golv|suelo|vloer',
};
const BINS =
  'bin|box|basket|tray|jar|crate|container|behalter|kiste|korb|kasten|boite|bac|panier|lada korg|korg|burk|caja|cesta|doos|bak|mand';

const MEANING = new Map<string, PlaceSort>([
  ...Object.entries(SPACES).flatMap(([kind, names]) =>
    names.split('|').map((name): [string, PlaceSort] => [name, { place: 'space', kind: kind as SpaceKind }]),
  ),
  ...Object.entries(SHELVES).flatMap(([kind, names]) =>
    names.split('|').map((name): [string, PlaceSort] => [name, { place: 'shelf', kind: kind as ShelfKind }]),
  ),
  ...BINS.split('|').map((name): [string, PlaceSort] => [name, { place: 'bin', kind: 'bin' }]),
]);

/** What a word for a kind means; null: it is not known. */
export const placeSortOf = (text: string): PlaceSort | null => MEANING.get(tableWord(text)) ?? null;

/** The word that a table gets for a kind of place; it is read back as the same. */
export const placeSortWord = (sort: PlaceSort): string =>
  (sort.place === 'space' ? SPACES[sort.kind] : sort.place === 'shelf' ? SHELVES[sort.kind] : BINS).split('|')[0]!;
