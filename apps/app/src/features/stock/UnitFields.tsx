import { Field } from '@/kit/form/Field';
import { Toggles } from '@/kit/form/Toggles';
import { eachTyped, ratioOf, unitTyped } from './unitWords';

const OFFERED = ['piece', 'pack', 'tin', 'g', 'kg', 'ml', 'l', 'm'];
const LONGEST = 30;

/** The unit that is wanted, and how many of it one of the old is, as they are typed. */
export interface UnitTyped {
  unit: string;
  ratio: string;
}
export const NO_UNIT: UnitTyped = { unit: '', ratio: '' };

/** The new unit and how much of it one of the old is; null: something is missing or cannot be read. */
export function unitSaid(from: string, typed: UnitTyped): { unit: string; each: number } | null {
  const unit = unitTyped(typed.unit);
  const each = unit === '' || unit === from ? null : eachTyped(ratioOf(from, unit), typed.ratio);
  return each === null ? null : { unit, each };
}

/** Asks for another unit; where two measures do not say it themselves, how many of one are one of the other. */
export function UnitFields({
  from,
  typed,
  onChange,
}: {
  /** The old unit; null: several, so that only measures that say it themselves are taken. */
  from: string | null;
  typed: UnitTyped;
  onChange: (typed: UnitTyped) => void;
}) {
  const unit = unitTyped(typed.unit);
  const asked = from !== null && unit !== '' && unit !== from ? ratioOf(from, unit) : null;
  const unread = asked?.known === null && typed.ratio.trim() !== '' && eachTyped(asked, typed.ratio) === null;
  return (
    <>
      <Field
        label="Kept in"
        value={typed.unit}
        maxLength={LONGEST}
        autoFocus
        onChangeText={(text) => onChange({ ...typed, unit: text })}
        hint="One word for one of it: tin, pack, g."
      />
      <Toggles
        label="Often"
        all={OFFERED.filter((one) => one !== from).map((one) => ({ id: one, name: one }))}
        chosen={[unit]}
        onChange={(chosen) => onChange({ ...typed, unit: chosen.at(-1) ?? '' })}
      />
      {asked?.known === null ? (
        <Field
          label={asked.question}
          value={typed.ratio}
          inputMode="decimal"
          onChangeText={(text) => onChange({ ...typed, ratio: text })}
          hint="1: only the word changes."
          problem={unread ? `“${typed.ratio.trim()}” is no number over 0 with at most three places.` : undefined}
        />
      ) : null}
    </>
  );
}
