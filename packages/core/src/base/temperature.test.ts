import Qty from 'js-quantities';
import { celsiusOf, fahrenheitOf } from './temperature';

// js-quantities as the reference.
it.each([37, 38.9, 40.5, -18, 0])('%d °C there and back', (celsius) => {
  expect(fahrenheitOf(celsius)).toBeCloseTo(Qty(`${celsius} tempC`).to('tempF').scalar, 9);
  expect(celsiusOf(fahrenheitOf(celsius))).toBeCloseTo(celsius, 9);
});
