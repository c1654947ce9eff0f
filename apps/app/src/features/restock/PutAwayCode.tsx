import { gtinAsPrinted, isTradeCode, itemsOfCode, readTradeCode, type ItemRow, type ScannedGoods } from '@ours/core';
import { useState } from 'react';
import { Field } from '@/kit/form/Field';
import { codeProblemWords } from '@/kit/text/codeWords';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useScanned } from '@/shared/ScanProvider';

/** Figures of the shortest trade number. */
const SHORTEST_CODE = 8;

/**
 * The code on what is put away, scanned or typed: its date and batch are taken over, and the thing learns its number. A code that
 * the home knows as another thing is said, and not taken.
 */
export function PutAwayCode({
  item,
  name,
  onRead,
}: {
  item: ItemRow | null;
  name: string;
  /** Null when nothing that can be taken stands in the field. */
  onRead: (goods: ScannedGoods | null) => void;
}) {
  const [text, setText] = useState('');
  const written = text.trim();
  const known = useHousehold(({ state, version }) => ({
    items: (gtin: string | null) => (gtin === null ? [] : itemsOfCode(state, gtin)),
    version,
  })).items;
  const look = (value: string): { goods: ScannedGoods | null; problem?: string; said?: string } => {
    if (value === '') return { goods: null };
    // While it is typed it is too short to be wrong.
    if (!isTradeCode(value) && value.length < SHORTEST_CODE) return { goods: null };
    const read = readTradeCode(value, today());
    if (!read.ok) return { goods: null, problem: codeProblemWords(read.problem) };
    const { gtin } = read.goods;
    const others = known(gtin);
    if (others.length > 0 && !others.some(({ id }) => id === item?.id))
      return { goods: null, problem: `This is the number of ${others[0]!.name}, not of ${name}.` };
    const learns =
      gtin !== null && others.length === 0 ? `${name} is known by ${gtinAsPrinted(gtin)} from now on.` : 'Read.';
    return { goods: read.goods, said: learns };
  };
  const { problem, said } = look(written);
  useScanned(({ reading, text: code }) => {
    if (reading.kind !== 'goods') return false;
    setText(code);
    onRead(look(code).goods);
    return true;
  });
  return (
    <>
      <Field
        label="or scan its code"
        hint="With a date and a batch in it they are taken over."
        value={text}
        onChangeText={(next) => {
          setText(next);
          onRead(look(next.trim()).goods);
        }}
        autoCapitalize="none"
        autoCorrect={false}
        problem={problem}
      />
      {said ? <Small role="status">{said}</Small> : null}
    </>
  );
}
