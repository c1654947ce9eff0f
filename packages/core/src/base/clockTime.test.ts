import { clockTime } from './clockTime';

// Noon and midnight by NIST: 12 pm is noon, 12 am midnight, as clocks of twelve hours are read in the United States.
it.each([
  ['7:30', '07:30'],
  ['0730', '07:30'],
  ['18.05', '18:05'],
  ['7h05', '07:05'],
  [' 00:00 ', '00:00'],
  ['12 pm', '12:00'],
  ['12am', '00:00'],
  ['6:30 p.m.', '18:30'],
  ['11:59 PM', '23:59'],
  ['24:00', null],
  ['7:60', null],
  ['13 pm', null],
  ['0 am', null],
  ['7', null],
  ['noon', null],
  ['', null],
  [null, null],
])('%j is %j', (typed, kept) => expect(clockTime(typed)).toBe(kept));
