import { syncWords } from './SyncState';

describe('what the corner says about saving', () => {
  it.each<[number, number, string, string]>([
    [0, 0, 'online', 'All saved ✓'],
    [0, 0, 'connecting', 'Connecting …'],
    [0, 0, 'offline', 'Offline, all saved here'],
    [3, 0, 'offline', '3 waiting'],
    [3, 1, 'offline', '1 needs you'],
    [0, 2, 'online', '2 need you'],
    [0, 0, 'lost', 'Storage full or lost'],
    [1, 0, 'stuck', 'Server in trouble'],
    [0, 0, 'other_home', 'Another home'],
    [2, 0, 'signed_out', 'sign in to send 2'],
    [0, 0, 'signed_out', 'signed out'],
  ])('%i waiting, %i refused, %s: “%s”', (waiting, needYou, connection, words) =>
    expect(syncWords(waiting, needYou, connection)).toBe(words),
  );
});
