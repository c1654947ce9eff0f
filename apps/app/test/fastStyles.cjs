// Asked for a style, jsdom tries each rule of each sheet on the element: 40 ms a time with the interface library's rules, and a query by
// role asks for hundreds. Queries only look at `display` and `visibility`: the few rules that set those are found once, the others never
// tried. All else is what stands on the element itself.
const INLINE = new Set([
  'A',
  'SPAN',
  'B',
  'I',
  'EM',
  'STRONG',
  'LABEL',
  'IMG',
  'SVG',
  'CODE',
  'SMALL',
  'BR',
  'INPUT',
  'BUTTON',
  'SELECT',
]);
const ASKED = ['display', 'visibility'];
/** By sheet: how many of its rules were looked through, and those that matter. */
const known = new WeakMap();

function rulesOf(sheet) {
  const seen = known.get(sheet) ?? { upTo: 0, rules: [] };
  if (seen.upTo > sheet.cssRules.length) Object.assign(seen, { upTo: 0, rules: [] });
  for (; seen.upTo < sheet.cssRules.length; seen.upTo++) {
    const rule = sheet.cssRules[seen.upTo];
    for (const one of rule.media ? rule.cssRules : [rule]) {
      if (one.style && ASKED.some((property) => one.style.getPropertyValue(property) !== '')) seen.rules.push(one);
    }
  }
  known.set(sheet, seen);
  return seen.rules;
}

function matches(element, selector) {
  try {
    return element.matches(selector);
  } catch {
    return false;
  }
}

function styleOf(element, property) {
  const own = element.style?.getPropertyValue(property);
  if (own) return own;
  if (!ASKED.includes(property)) return '';
  let value = '';
  for (const sheet of element.ownerDocument.styleSheets) {
    for (const rule of rulesOf(sheet)) {
      const set = rule.style.getPropertyValue(property);
      if (set !== '' && matches(element, rule.selectorText)) value = set;
    }
  }
  if (value !== '') return value;
  if (property === 'display') return INLINE.has(element.tagName.toUpperCase()) ? 'inline' : 'block';
  return element.parentElement ? styleOf(element.parentElement, property) : 'visible';
}

window.getComputedStyle = (element) =>
  new Proxy(element.style ?? {}, {
    get: (style, property) =>
      property === 'getPropertyValue'
        ? (name) => styleOf(element, name)
        : ASKED.includes(property)
          ? styleOf(element, property)
          : Reflect.get(style, property, style),
  });
