import { Wedge } from './wedge';

const CODE = '6291041500213';
let ms = 0;
function typing(wedge: Wedge, text: string, gap: number, end = 'Enter'): boolean {
  let ended = false;
  for (const key of [...text, end]) {
    ms += gap;
    ended = wedge.key({ key, timeStamp: ms, ctrlKey: false, metaKey: false, altKey: false });
    const field = document.activeElement;
    if (field instanceof HTMLInputElement && key.length === 1) field.value += key;
  }
  return ended;
}
const hearing = (isCode: (text: string) => boolean = () => true) => {
  const heard: string[] = [];
  return { heard, wedge: new Wedge(isCode, (text) => heard.push(text)) };
};
beforeEach(() => {
  ms += 10_000;
  document.body.innerHTML = '<input id="field">';
});

it('letters every few milliseconds, ended by Enter or Tab, are a scan; at the pace of a person they are not', () => {
  const { heard, wedge } = hearing();
  expect(typing(wedge, CODE, 8)).toBe(true);
  ms += 500;
  expect(typing(wedge, CODE, 8, 'Tab')).toBe(true);
  ms += 500;
  // The fastest typists keep about 60 ms between letters; common practice, no source.
  expect(typing(wedge, CODE, 60)).toBe(false);
  expect(heard).toEqual([CODE, CODE]);
});

it('what is short, is no code, or is ended late is typed by somebody', () => {
  const { heard, wedge } = hearing((text) => /^\d+$/.test(text));
  expect(typing(wedge, '12345', 8)).toBe(false);
  ms += 500;
  expect(typing(wedge, 'bananas', 8)).toBe(false);
  ms += 500;
  for (const key of CODE) wedge.key({ key, timeStamp: (ms += 8), ctrlKey: false, metaKey: false, altKey: false });
  expect(wedge.key({ key: 'Enter', timeStamp: ms + 300, ctrlKey: false, metaKey: false, altKey: false })).toBe(false);
  expect(heard).toEqual([]);
});

it('what stood in the field before comes back, and the page is told', () => {
  const field = document.getElementById('field') as HTMLInputElement;
  field.value = '3 eggs';
  field.focus();
  let told = '';
  field.addEventListener('input', () => (told = field.value));
  const { heard, wedge } = hearing();
  typing(wedge, CODE, 8);
  expect([heard, field.value, told]).toEqual([[CODE], '3 eggs', '3 eggs']);
});

it('keys held with Control are no letters, Shift belongs to what follows', () => {
  const { heard, wedge } = hearing();
  wedge.key({ key: 'c', timeStamp: (ms += 8), ctrlKey: true, metaKey: false, altKey: false });
  for (const key of ['Shift', 'A', 'Shift', 'B', '1', '2', '3', '4'])
    wedge.key({ key, timeStamp: (ms += 8), ctrlKey: false, metaKey: false, altKey: false });
  wedge.key({ key: 'Enter', timeStamp: (ms += 8), ctrlKey: false, metaKey: false, altKey: false });
  expect(heard).toEqual(['AB1234']);
});
