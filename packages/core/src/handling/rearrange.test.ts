import { seededRandom } from '../base/seededRandom';
import { homeOf, randomHome, shelf, unit } from './handling.test-support';
import { findMoves } from './moves';
import { Placement } from './Placement';
import { LARGER_SAVES_MINUTES, LargerSearch } from './rearrange';
import { onlySpaces } from './onlySpaces';

/** One bin a shelf; every bin is dear but on one, and the three best places form a ring. */
function ringOfThree() {
  const at = (shelfId: string, roomId: string) =>
    shelf({
      shelfId,
      roomId,
      spaceId: roomId,
      capMm: 400,
      row: { width: 400, depth: 300, height: 300, fromAbove: false },
    });
  const rooms = ['kitchen', 'cellar', 'loft'];
  const body = { width: 400, depth: 300, height: 240, pitch: null, type: null, uses: 1 };
  const units = rooms.map((room, nth) =>
    unit({
      binId: room,
      body,
      grams: 0,
      uses: 6,
      roomId: rooms[(nth + 1) % 3]!,
      origin: nth,
      allowed: [0, 1, 2],
      moveMinutes: 3,
    }),
  );
  return homeOf(
    units,
    rooms.map((room) => at(room, room)),
  );
}

test('a ring of three, which no single move and no swap finds, is offered as one', () => {
  const home = ringOfThree();
  const { moves } = findMoves(home);
  // Of two that change places one wins its walk and the other wins nothing; the third is left out.
  const search = new LargerSearch(home, moves);
  while (search.step(200));
  const larger = search.answer();
  const saved = moves.reduce((sum, { savedMinutes }) => sum + savedMinutes, 0);
  expect(saved + (larger?.moreMinutes ?? 0)).toBeCloseTo((3 * 6 * 1.08 * 17) / 60, 6);
  expect(larger).toMatchObject({ bins: 3, move: { ring: true, stray: null, safety: false, onceMinutes: 9 } });
  expect(larger!.move.savedMinutes).toBeCloseTo(saved + larger!.moreMinutes, 9);
});

test('on random homes: what it carries stands, is worth it exactly, and never less than what is asked for', () => {
  const random = seededRandom(97);
  let offered = 0;
  for (let run = 0; run < 10; run++) {
    const home = randomHome(random, 18, 6);
    const { moves } = findMoves(home);
    const search = new LargerSearch(home, moves);
    while (search.step(500));
    const larger = search.answer();
    if (!larger) continue;
    offered += 1;
    expect(larger.moreMinutes).toBeGreaterThanOrEqual(LARGER_SAVES_MINUTES);
    const walk = new Placement(home);
    const start = walk.minutes;
    larger.move.carries.forEach(({ unit: which, from, to }) => {
      expect(walk.at[which]).toBe(from);
      walk.move(which, to);
      if (!larger.move.ring) expect(walk.stands).toBe(true);
    });
    expect(walk.stands).toBe(true);
    expect(start - walk.minutes).toBeCloseTo(larger.move.savedMinutes, 6);
    const done = new Placement(home);
    for (const { carries } of moves) for (const { unit: which, to } of carries) done.move(which, to);
    expect(done.minutes - walk.minutes).toBeCloseTo(larger.moreMinutes, 6);
  }
  expect(offered).toBeGreaterThan(0);
}, 60_000);

test('only chosen spaces: nothing leaves them, nothing comes in, and the same search is right for them', () => {
  const random = seededRandom(5);
  let moved = 0;
  for (let run = 0; run < 20; run++) {
    const home = randomHome(random, 16, 6);
    const only = onlySpaces(home, new Set(['space0']));
    for (const { carries } of findMoves(only).moves)
      for (const { from, to } of carries) {
        moved += 1;
        expect([home.shelves[from]!.spaceId, home.shelves[to]!.spaceId]).toEqual(['space0', 'space0']);
      }
  }
  expect(moved).toBeGreaterThan(5);
});
