import { opsForGoingOut, opsForLending, type CivilDate, type LoanFields, type LotRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { DayField } from '@/kit/form/DayField';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { PersonChoice } from '@/shared/PersonChoice';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useRunCommand } from '@/shared/useRunCommand';
import { outWords } from './words';

/** What goes out: an amount of a lot, or a place or kit with all in it. */
export type GoingOut = { lot: LotRow; thousandths: number; name: string } | { whatId: string; name: string };

/** Lent to somebody, or taken along in the home: to whom or where, by whom, until when. */
export function LendDialog({ what, onClose }: { what: GoingOut; onClose: () => void }) {
  const { me } = useHouseholdContext();
  const runCommand = useRunCommand();
  const day = today();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const [way, setWay] = useState<LoanFields['way']>('lent');
  const [to, setTo] = useState('');
  const [byId, setById] = useState<string | null>(useOwnPerson());
  const [dueOn, setDueOn] = useState<CivilDate | null>(null);
  const [dueUnread, setDueUnread] = useState(false);
  const [forWhat, setForWhat] = useState('');
  const [sent, setSent] = useState(false);
  const lent = way === 'lent';
  const problem = to.trim() === '' ? (lent ? 'To whom does it go?' : 'Where is it taken?') : null;
  const late = dueOn !== null && dueOn < day ? 'That day has passed; due back is today or later.' : null;
  const save = (): void => {
    setSent(true);
    if (problem || late || dueUnread) return;
    const said = { way, to: to.trim(), what: what.name, byId, dueOn, forWhat: forWhat.trim() || null };
    const ops =
      'lot' in what
        ? opsForLending(what.lot, what.thousandths, said, opContext())
        : opsForGoingOut(what.whatId, said, opContext());
    onClose();
    void runCommand('gone_out', ops, `${what.name}: ${outWords({ ...said, outOn: day }, day)}.`);
  };
  return (
    <Dialog title={`${what.name} goes out`} open onClose={onClose}>
      <Choices
        label="How"
        wrap
        choices={[
          { value: 'lent', label: 'Lent to somebody' },
          { value: 'taken', label: 'Taken along' },
        ]}
        value={way}
        onChange={setWay}
      />
      <Field
        label={lent ? 'To whom' : 'Where'}
        value={to}
        onChangeText={setTo}
        maxLength={120}
        placeholder={lent ? 'the neighbour' : 'on the kitchen table'}
        problem={sent ? (problem ?? undefined) : undefined}
      />
      <Field
        label="For what, if it was said"
        value={forWhat}
        onChangeText={setForWhat}
        maxLength={120}
        placeholder="Saturday’s party"
      />
      <DayField
        label="Due back, if it was said"
        onChange={(on, text) => {
          setDueOn(on);
          setDueUnread(on === null && text.trim() !== '');
        }}
        habits={{ order, today: day, facing: 'ahead' }}
      />
      {late || (sent && dueUnread) ? (
        <Small role="alert" color="$late">
          {late ?? 'The day it is due back is not read yet: mend it, or leave it empty.'}
        </Small>
      ) : null}
      <PersonChoice label="Who gives it" value={byId} nobody="Not said" onChange={setById} />
      <Small>Its place is kept for it, and it still counts as yours.</Small>
      <XStack gap={8}>
        <Button grow kind="primary" label={lent ? 'Lend it' : 'Take it out'} onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
