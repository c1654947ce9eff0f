import { TABLE_KEYS } from '@/features/table/words';

/** All keys there are, by where they work. */
export const KEY_GROUPS: readonly { title: string; keys: readonly (readonly [key: string, words: string])[] }[] = [
  {
    title: 'On every page',
    keys: [
      ['/', 'find'],
      ['Ctrl K', 'any action, by its words'],
      ['Ctrl Z', 'take back the last change'],
      ['Ctrl Shift Z', 'do it again'],
      ['?', 'this list'],
      ['Tab', 'to the next control'],
      ['Enter, Space', 'press it'],
      ['Esc', 'close, leave'],
    ],
  },
  {
    title: 'In a drawing',
    keys: [
      ['Tab', 'from place to place'],
      ['Enter', 'choose the place'],
    ],
  },
  {
    title: 'In Record',
    keys: [
      ['Enter', 'save the line'],
      ['Tab', 'to what was read, to correct it'],
    ],
  },
  { title: 'In the table of stock', keys: TABLE_KEYS },
  {
    title: 'Among choices',
    keys: [['← → ↑ ↓', 'from one to the next']],
  },
];
