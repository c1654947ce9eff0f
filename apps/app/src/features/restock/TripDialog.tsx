import { definitionOf, EVERY_SATURDAY, type AbsenceRow, type Op, type ShopRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { DayField } from '@/kit/form/DayField';
import { FormDialog } from '@/kit/form/FormDialog';
import { Stepper } from '@/kit/form/Stepper';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { spanWords } from '@/kit/text/dayWords';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { costWords, weekdayName, WEEKDAYS } from './words';

type Open = { kind: 'shop'; shop: ShopRow | null } | { kind: 'absence' } | null;

/** When and where the home shops, and when it uses more or less than usual. */
export function TripDialog({ onClose }: { onClose: () => void }) {
  const [open, setOpen] = useState<Open>(null);
  const runCommand = useRunCommand();
  const { currency } = useHome();
  const { shops, absences } = useHousehold(({ state, version }) => ({
    shops: state.all('shop').sort((a, b) => a.sort - b.sort),
    absences: state.all('absence').sort((a, b) => (a.fromOn < b.fromOn ? 1 : -1)),
    version,
  }));
  if (open?.kind === 'shop') return <ShopForm shop={open.shop} sort={shops.length} onClose={() => setOpen(null)} />;
  if (open?.kind === 'absence') return <AbsenceForm onClose={() => setOpen(null)} />;
  const coming = absences.filter(({ toOn }) => toOn >= today());
  return (
    <Dialog title="Shop days, away and guests" open onClose={onClose}>
      <YStack marginHorizontal={-16}>
        {shops.map((shop) => (
          <ListRow
            key={shop.id}
            title={shop.name}
            detail={[
              ruleWords(shop.rule),
              shop.budgetMinor === null ? '' : `${costWords(shop.budgetMinor, currency)} a trip`,
            ]
              .filter((part) => part !== '')
              .join(' · ')}
            onPress={() => setOpen({ kind: 'shop', shop })}
          />
        ))}
      </YStack>
      <Button label="Add a shop" onPress={() => setOpen({ kind: 'shop', shop: null })} />
      <YStack gap={6}>
        <Strong role="heading" aria-level={2}>
          Away and guests
        </Strong>
        <Small>
          Days on which nobody is there are not taken for days on which nothing was wanted, and what is bought for them
          is less. Guests count as so many more people.
        </Small>
      </YStack>
      <YStack marginHorizontal={-16}>
        {(coming.length > 0 ? coming : absences.slice(0, 3)).map((absence) => (
          <ListRow
            key={absence.id}
            title={absenceWords(absence)}
            detail={absence.note || undefined}
            right={
              <Button
                kind="quiet"
                label="Remove"
                onPress={() =>
                  void runCommand('absence_removed', [{ op: 'retire', entity: 'absence', id: absence.id }], 'Removed.')
                }
              />
            }
          />
        ))}
      </YStack>
      <Button label="Add days away or with guests" onPress={() => setOpen({ kind: 'absence' })} />
      <Button kind="primary" label="Done" onPress={onClose} />
    </Dialog>
  );
}

/** `Saturdays`; another rule as it is written. */
function ruleWords(rule: string): string {
  const day = /^FREQ=WEEKLY;BYDAY=([A-Z]{2})$/.exec(rule)?.[1];
  const at = WEEKDAYS.indexOf(day as (typeof WEEKDAYS)[number]);
  if (at >= 0) return `${weekdayName(at)} of each week`;
  return rule === '' ? 'no fixed day' : rule;
}

export const absenceWords = ({ kind, fromOn, toOn, people }: AbsenceRow): string =>
  `${kind === 'away' ? 'Away' : counted(people, { one: '# guest', other: '# guests' })}, ${spanWords(fromOn, toOn, today())}`;

const RULES = [1, 2, 3, 4, 5, 6, 0].map((at) => ({
  value: `FREQ=WEEKLY;BYDAY=${WEEKDAYS[at]}`,
  label: weekdayName(at),
}));

function ShopForm({ shop, sort, onClose }: { shop: ShopRow | null; sort: number; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit, currency } = useHome();
  const written = shop && shop.rule !== '' && !RULES.some(({ value }) => value === shop.rule) ? [shop.rule] : [];
  const rules = [...RULES, { value: '', label: 'no fixed day' }, ...written.map((value) => ({ value, label: value }))];
  type Asked = Pick<ShopRow, 'name' | 'rule' | 'budgetMinor'>;
  return (
    <FormDialog<keyof Asked, Asked>
      title={shop ? shop.name : 'A shop'}
      fields={definitionOf('shop').fields}
      inputs={{
        name: { label: 'Name', needed: 'A shop needs a name.' },
        rule: { label: 'Shop day', choices: rules },
        budgetMinor: { label: 'Budget for a trip', hint: 'Empty: none.', narrow: true },
      }}
      start={shop ?? { name: '', rule: EVERY_SATURDAY, budgetMinor: null }}
      currency={currency}
      unit={unit}
      onClose={onClose}
      onSave={(fields) => {
        const { newId } = opContext();
        const ops: Op[] = shop
          ? [{ op: 'change', entity: 'shop', id: shop.id, fields }]
          : [{ op: 'create', entity: 'shop', id: newId(), fields: { ...fields, startsOn: today(), aisles: [], sort } }];
        void runCommand('shop_saved', ops, `Saved: ${fields.name}.`);
      }}
    >
      {shop ? (
        <Button
          kind="quiet"
          label="Remove this shop"
          onPress={() => {
            onClose();
            void runCommand('shop_removed', [{ op: 'retire', entity: 'shop', id: shop.id }], `Removed: ${shop.name}.`);
          }}
        />
      ) : null}
    </FormDialog>
  );
}

function AbsenceForm({ onClose }: { onClose: () => void }) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const [kind, setKind] = useState<'away' | 'guests'>('away');
  const [people, setPeople] = useState(2);
  const [from, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  const [when, setWhen] = useState<'ahead' | 'behind'>('ahead');
  const habits = { order, today: today(), facing: when };
  const turned = from !== null && to !== null && to < from;
  const save = (): void => {
    if (from === null || to === null || turned) return;
    const { newId } = opContext();
    const fields = { kind, fromOn: from, toOn: to, people: kind === 'away' ? 0 : people, note: '' };
    onClose();
    void runCommand('absence_noted', [{ op: 'create', entity: 'absence', id: newId(), fields }], 'Noted.');
  };
  return (
    <Dialog title="Away, or guests" open onClose={onClose}>
      <Choices
        label="What"
        hideLabel
        choices={[
          { value: 'away', label: 'Everybody is away' },
          { value: 'guests', label: 'Guests' },
        ]}
        value={kind}
        onChange={setKind}
      />
      <Choices
        label="When"
        choices={[
          { value: 'ahead', label: 'coming' },
          { value: 'behind', label: 'it is over' },
        ]}
        value={when}
        onChange={setWhen}
      />
      {kind === 'guests' ? (
        <Stepper
          label="How many guests"
          value={people}
          less="One guest less"
          more="One guest more"
          canLess={people > 1}
          onLess={() => setPeople(people - 1)}
          onMore={() => setPeople(people + 1)}
        />
      ) : null}
      <DayField key={`first ${when}`} label="First day" habits={habits} onChange={setFrom} />
      <DayField key={`last ${when}`} label="Last day" habits={habits} onChange={setTo} />
      {turned ? (
        <Small color="$late" role="alert">
          The last day is before the first.
        </Small>
      ) : null}
      <XStack gap={8}>
        <Button kind="primary" grow label="Save" disabled={from === null || to === null || turned} onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
