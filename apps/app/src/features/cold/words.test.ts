import { noteWords, readReadings, warmWords } from './words';

describe('what a thermometer showed', () => {
  it('is read line by line: times, the next day too, hours since the first, minus and comma as people write them', () => {
    expect(readReadings('22:00 -18\n23:30 −3,5 °C\n\n02:00 6')).toEqual({
      ok: true,
      readings: [
        { hours: 0, celsius: -18 },
        { hours: 1.5, celsius: -3.5 },
        { hours: 4, celsius: 6 },
      ],
    });
    expect(readReadings('0 h -18\n1,5h -3')).toEqual({
      ok: true,
      readings: [
        { hours: 0, celsius: -18 },
        { hours: 1.5, celsius: -3 },
      ],
    });
  });
  it.each(['25:00 -18', '12:00', 'warm', '12:60 3', '3 h -18\n2 h -10'])('“%s” is said to be none', (text) => {
    expect(readReadings(text).ok).toBe(false);
  });
});

it('how long it was warm, and what is noted', () => {
  expect(warmWords({ least: 0, most: 0 })).toBe('Likely not above 4 °C.');
  expect(warmWords({ least: 1, most: 1 })).toBe('Likely above 4 °C for 1 hour.');
  expect(warmWords({ least: 0, most: 9 })).toBe(
    'It may have been above 4 °C for 0 to 9 hours: it was opened, and nobody knows.',
  );
  const outage = { kind: 'hours', hours: 6, fill: 'half', opened: false } as const;
  expect(noteWords('26 Nov', outage, { least: 0, most: 0 })).toBe('Without cold 26 Nov, 6 hours; kept.');
  expect(noteWords('26 Nov', { kind: 'readings', readings: [] }, { least: 2.25, most: 2.25 })).toBe(
    'Without cold 26 Nov, above 4 °C for 2.3 hours; kept.',
  );
});
