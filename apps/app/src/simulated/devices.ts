/** Stand-ins for devices of a home. What they show is made up and the same each time; the screens say that it is simulated. */

/** One line of a thermometer: a time of day and degrees Celsius. */
export interface LoggedReading {
  time: string;
  celsius: number;
}

/** A thermometer in a freezer or refrigerator: a night of nine hours without power, read every three hours. */
export function thermometerLog(freezer: boolean): LoggedReading[] {
  const celsius = freezer ? [-18, -14, -8, -2, 6] : [4, 6, 9, 12, 8];
  return celsius.map((value, at) => ({ time: `${String((20 + 3 * at) % 24).padStart(2, '0')}:00`, celsius: value }));
}

/** Grams of an empty jar as the scale takes it off. */
const JAR_GRAMS = 320;

/**
 * A kitchen scale with something on it: a jar of 320 g that is filled to a share which only its name decides.
 * @returns grams with the jar, and of the jar alone
 */
export function scaleReading(name: string): { gross: number; tare: number } {
  const sum = [...name].reduce((total, letter) => (total * 31 + (letter.codePointAt(0) ?? 0)) % 997, 7);
  return { gross: JAR_GRAMS + 150 + (sum % 600), tare: JAR_GRAMS };
}
