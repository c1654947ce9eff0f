import { dotsAcross } from './ports';
import { viewOfLog } from './temperatureLog';

const at = (hour: number, celsius: number) => ({
  at: new Date(Date.UTC(2026, 10, 26, hour)).toISOString(),
  tenthC: celsius * 10,
});

it('hourly readings with none from 22 to 3 o’clock: two stretches, one gap, what was too warm', () => {
  const log = [20, 21, 22, 27, 28, 29].map((hour) => at(hour, hour < 25 ? -19 : -12));
  const view = viewOfLog(log, -180);
  expect(view.stretches.map(({ readings }) => readings.length)).toEqual([3, 3]);
  expect(view.gaps).toEqual([{ from: at(22, 0).at, to: at(27, 0).at }]);
  expect(view.warmest).toMatchObject({ tenthC: -120 });
  expect(view.tooWarm).toHaveLength(3);
});
it('three readings, the last after a long time: that is a gap, too', () =>
  expect(viewOfLog([at(20, -19), at(23, -19), at(32, -12)], -180).gaps).toHaveLength(1));
it('nothing, one reading, and even readings have no gap', () => {
  expect(viewOfLog([], 40)).toEqual({ stretches: [], gaps: [], warmest: null, tooWarm: [] });
  expect(viewOfLog([at(1, 3)], 40)).toMatchObject({ stretches: [{ readings: [{}] }], gaps: [], tooWarm: [] });
  expect(
    viewOfLog(
      [1, 4, 7, 10].map((hour) => at(hour, 4)),
      40,
    ),
  ).toMatchObject({ gaps: [], tooWarm: [] });
});
// 1 inch is 25.4 mm (ISO 31): 50.8 mm are two inches.
it('dots of a length', () => expect([dotsAcross(50.8, 203), dotsAcross(25.4, 300)]).toEqual([406, 300]));
