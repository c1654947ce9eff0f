import { foldedWords, type HouseholdState } from '@ours/core';

/** Something that can be done, found by its words. */
export interface Action {
  id: string;
  /** As it is shown: `Labels of Rack 1`. */
  title: string;
  /** Where it is, or what it does, in short. */
  detail: string;
  does: { kind: 'open'; path: string } | { kind: 'undo' | 'redo' | 'keys' | 'print' };
  /** Other words that people look for it by. */
  also?: string;
}

const open = (title: string, path: string, also = '', detail = 'opens'): Action => ({
  id: path,
  title,
  detail,
  does: { kind: 'open', path },
  also,
});

/** What can be done in every home. */
const EVERYWHERE: readonly Action[] = [
  open('Find a thing or a place', '/', 'search where is'),
  open('Record what is in a bin', '/record', 'put in take count line'),
  open('Nooks: rooms and spaces', '/nooks', 'places shelves cupboards'),
  open('Set up a new space', '/space/new', 'add cupboard shelf freezer closet'),
  open('Containers', '/containers', 'boxes bins baskets'),
  open('Where things go', '/where', 'moves reach walk'),
  open('Drift: as planned and as it is', '/drift', 'look put right'),
  open('Restock: the list', '/restock', 'shopping buy'),
  open('Go shopping', '/restock/shop', 'shop tick'),
  open('Put away', '/restock/put-away', 'bags home'),
  open('Refill', '/restock/refill', 'canister jar front reserve'),
  open('Before you leave for the shop', '/restock/leaving', 'counts room cold things'),
  open('Is there room for it?', '/restock/room-for', 'fits size'),
  open('Stock as a table', '/stock', 'all things list lots worth filter'),
  open('Use first', '/use-first', 'expiry ends soon dates'),
  open('How long things keep', '/keeping', 'shelf life rules'),
  open('The reserve in days', '/reserve', 'emergency water food'),
  open('A recall', '/recall', 'batch called back'),
  open('Rounds', '/rounds', 'duties due calendar'),
  open('Collect and put away a backlog', '/backlog', 'sitting timer catch up'),
  open('Kits', '/kits', 'first aid van guests travel'),
  open('Out and waiting', '/out', 'lent borrowed ironing mending'),
  open('Care: medicines and the log', '/care', 'pill box given doctor'),
  open('Likely the same', '/doubles', 'merge duplicates doubles'),
  open('Out and in: tables and the whole home', '/data', 'export import csv json backup'),
  open('Read a table of stock', '/data/table', 'paste rows spreadsheet csv import'),
  open('Read a whole home', '/data/home', 'restore backup json'),
  open('Devices', '/devices', 'scale scanner thermometer label printer'),
  open('Figures of the home', '/figures', 'worth thrown away opened moved counts insurance insurer pdf'),
  open('People and the home', '/household', 'members invite units currency theme settings'),
  open('History', '/history', 'who did what changes'),
  open('Waiting to be sent', '/waiting', 'offline queue refused'),
  // Not the first: Enter in the empty field changes nothing.
  { id: 'undo', title: 'Take back the last change', detail: 'Ctrl Z', does: { kind: 'undo' }, also: 'undo' },
  { id: 'redo', title: 'Do it again', detail: 'Ctrl Shift Z', does: { kind: 'redo' }, also: 'redo' },
  { id: 'print', title: 'Print this page', detail: 'without the frame', does: { kind: 'print' }, also: 'paper pdf' },
  { id: 'keys', title: 'All keys', detail: '?', does: { kind: 'keys' }, also: 'keyboard shortcuts help' },
];

/** What can be done with a space. */
const OF_A_SPACE: readonly (readonly [title: string, path: string, also: string])[] = [
  ['Open', '', 'drawing'],
  ['Measure', '/measure', 'width height depth'],
  ['Sort out', '/sort', 'clear out keep give'],
  ['Plan', '/mix', 'groups bins'],
  ['Try what fits in', '/fit', 'boxes'],
  ['Buying list of', '/get', 'wishes'],
  ['Labels of', '/labels', 'print'],
  ['Tour of', '/tour', 'bin by bin'],
];

/** Everything that can be done in a home. */
export function actionsOf(state: HouseholdState): Action[] {
  const spaces = state.all('space').filter(({ retired }) => !retired);
  return [
    ...EVERYWHERE,
    ...spaces.flatMap((space) => {
      const room = state.get('room', space.roomId)?.name ?? '';
      return OF_A_SPACE.map(([title, path, also]) =>
        open(`${title} ${space.name}`, `/space/${space.id}${path}`, `${also} ${room}`, room),
      );
    }),
  ];
}

/**
 * Actions in whose words all words of a text begin, those whose title begins so first.
 * @param most so many at most
 */
export function findActions(actions: readonly Action[], text: string, most: number): Action[] {
  const asked = foldedWords(text);
  const found: { action: Action; rank: number }[] = [];
  for (const action of actions) {
    const title = foldedWords(action.title);
    const all = [...title, ...foldedWords(action.also ?? '')];
    if (!asked.every((word) => all.some((one) => one.startsWith(word)))) continue;
    const begins = asked.length > 0 && title[0]?.startsWith(asked[0]!) === true;
    const inTitle = asked.every((word) => title.some((one) => one.startsWith(word)));
    found.push({ action, rank: (begins ? 0 : 2) + (inTitle ? 0 : 1) });
  }
  return found
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ action }) => action);
}
