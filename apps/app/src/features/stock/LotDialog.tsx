import {
  addDays,
  canDecant,
  CONDITIONS,
  DISCARD_REASONS,
  guideOf,
  isFrozen,
  isInFreezer,
  isMeasure,
  isThawed,
  loanOfLot,
  opsForCondition,
  opsForCounting,
  opsForDecanting,
  opsForDiscarding,
  opsForFreezing,
  opsForMoving,
  opsForOpening,
  opsForPuttingIn,
  opsForTaking,
  opsForThawing,
  opsForUsing,
  THAWED_DAYS,
  lotFieldsOf,
  quantityField,
  type DiscardReason,
  type ItemRow,
  type LotRow,
  type Op,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Small, Strong, Text } from '@/kit/text/Text';
import { NookPicker } from '@/shared/NookPicker';
import { DecantTo } from './DecantTo';
import { LendDialog } from './LendDialog';
import { useBringBack } from './useBringBack';
import {
  amountOfWords,
  CONDITION_WORDS,
  dueWords,
  lotAmountWords,
  outWords,
  thawingWords,
  usualStep,
  whereToWords,
} from './words';

const REASONS: Readonly<Record<DiscardReason, string>> = {
  expired: 'past its date',
  spoiled: 'spoiled',
  broken: 'broken',
  given_away: 'given away',
  recycled: 'recycled',
  other: 'other',
};

const AMOUNT = quantityField();

type Mode = 'choose' | 'move' | 'freeze' | 'discard' | 'thaw' | 'batch' | 'decant' | 'condition';

/** Everything that can be done with one lot; a number and one tap each. */
export function LotDialog({ lotId, onClose }: { lotId: string | null; onClose: () => void }) {
  const found = useHousehold(({ state }) => {
    const lot = lotId === null ? undefined : state.get('lot', lotId);
    const item = lot && state.get('item', lot.itemId);
    return lot && item ? { lot, item, state } : null;
  });
  if (!found) return null;
  return <OpenLot key={lotId} {...found} onClose={onClose} />;
}

type Props = {
  lot: LotRow;
  item: ItemRow;
  state: Parameters<Parameters<typeof useHousehold>[0]>[0]['state'];
  onClose: () => void;
};

function OpenLot({ lot, item, state, onClose }: Props) {
  const guide = guideOf(state);
  const runCommand = useRunCommand();
  const [mode, setMode] = useState<Mode>('choose');
  /** Where a frozen thing is to go that is no freezer: it is asked whether it thaws. */
  const [leaving, setLeaving] = useState<{ nookId: string; name: string } | null>(null);
  const frozen = isFrozen(lot);
  const thawed = isThawed(lot);
  const measured = isMeasure(item.unit);
  /** What has a date, or is kept by measure, may be filled into a jar. */
  const pourable = measured || lot.expiresOn !== null || Boolean(lot.madeOn);
  const step = usualStep(item.unit);
  const [first] = useState(lot.quantityThousandths > 0 ? Math.min(step, lot.quantityThousandths) : step);
  const figure = useFigure(AMOUNT, 'metric', first);
  const { text, value: amount } = figure;
  const present = (nookId: string): LotRow[] => state.lotsIn(nookId);

  const act =
    (intent: string, make: (amount: number) => Op[], done: (amount: number) => string, zeroAllowed = false) =>
    () => {
      if (amount === null || (amount === 0 && !zeroAllowed)) return;
      onClose();
      void runCommand(intent, make(amount), done(amount));
    };
  const [lending, setLending] = useState(false);
  const { bringBack, dialog: backDialog } = useBringBack();
  const loan = loanOfLot(state, lot);
  const said = (quantity: number): string => amountOfWords(quantity, item);
  type Target = { nookId: string; name: string };
  const moveTo = ({ nookId, name }: Target): (() => void) =>
    act(
      'stock_moved',
      (n) => opsForMoving(lot, n, nookId, present(nookId), opContext()),
      (n) => `Moved: ${said(n)} to ${name}.`,
    );
  const thawTo = ({ nookId, name }: Target): (() => void) =>
    act(
      'stock_thawed',
      (n) => opsForThawing(lot, n, nookId, present(nookId), opContext()),
      (n) => `Out to thaw: ${said(n)} in ${name}.`,
    );
  const detail = [lotAmountWords(lot, item), dueWords(lot, item, today(), guide)].filter(Boolean).join(' · ');
  if (lending && amount !== null)
    return <LendDialog what={{ lot, thousandths: amount, name: item.name }} onClose={onClose} />;

  return (
    <Dialog title={item.name} open onClose={onClose}>
      <Text>{detail}</Text>
      {loan ? <Strong>{outWords(loan, today())}</Strong> : null}
      {backDialog}
      {lot.pleaseCount ? <Text color="$late">More was taken than was known to be here. Please count.</Text> : null}
      <XStack gap={8} alignItems="flex-end">
        <Button label="Less" onPress={() => figure.show(Math.max(0, (amount ?? step) - step))} />
        <YStack flex={1}>
          <Field
            label={`How many${measured ? ` (${item.unit})` : ''}`}
            {...figure.input}
            inputMode="decimal"
            problem={figure.problem}
            selectTextOnFocus
          />
        </YStack>
        <Button label="More" onPress={() => figure.show((amount ?? 0) + step)} />
      </XStack>
      {mode === 'choose' ? (
        <YStack gap={8}>
          <XStack gap={8}>
            <Button
              kind="primary"
              grow
              label={`Take ${text}`}
              onPress={act(
                'stock_taken',
                (n) => opsForTaking([lot], n, opContext()),
                (n) => `Taken: ${said(n)}.`,
              )}
            />
            <Button
              grow
              label={`Put in ${text}`}
              onPress={act(
                'stock_put_in',
                (n) => opsForPuttingIn(lotFieldsOf(lot), n, present(lot.nookId), opContext()),
                (n) => `Put in: ${said(n)}.`,
              )}
            />
          </XStack>
          <XStack gap={8}>
            <Button
              grow
              label={`There are ${text} now`}
              onPress={act(
                'stock_counted',
                (n) => opsForCounting(lot, n, opContext()),
                (n) => `Counted: ${said(n)}.`,
                true,
              )}
            />
            <Button
              grow
              label={lot.openedOn === null ? `Open ${measured ? 'it' : text}` : 'Open already'}
              disabled={lot.openedOn !== null}
              onPress={act(
                'stock_opened',
                (n) => opsForOpening(lot, measured ? lot.quantityThousandths : n, present(lot.nookId), opContext()),
                () => `Opened: ${item.name}, from today.`,
              )}
            />
          </XStack>
          <XStack gap={8}>
            <Button grow label="Move …" onPress={() => setMode('move')} />
            {frozen ? (
              <Button grow label="Thaw …" onPress={() => setMode('thaw')} />
            ) : (
              <Button grow label="Freeze …" onPress={() => setMode('freeze')} />
            )}
            <Button grow kind="danger" label="Discard …" onPress={() => setMode('discard')} />
          </XStack>
          <XStack gap={8}>
            {canDecant(lot) && pourable ? (
              <Button grow label="Fill into a jar …" onPress={() => setMode('decant')} />
            ) : null}
            {measured ? null : (
              <Button
                grow
                label={lot.inUseOn ? 'Back here' : 'In use elsewhere'}
                disabled={loan !== null}
                onPress={act(
                  'stock_used_or_back',
                  (n) => opsForUsing(lot, n, Boolean(lot.inUseOn), present(lot.nookId), opContext()),
                  (n) =>
                    lot.inUseOn ? `Back in its place: ${said(n)}.` : `In use elsewhere: ${said(n)}; its place is kept.`,
                )}
              />
            )}
          </XStack>
          <XStack gap={8}>
            {loan ? (
              <Button
                grow
                label="It is back"
                onPress={() => {
                  bringBack(loan);
                  if (loan.thousandths === null || loan.thousandths <= 1000) onClose();
                }}
              />
            ) : (
              <Button
                grow
                label={`Lend ${measured ? 'it' : text} …`}
                disabled={amount === null || amount === 0 || lot.quantityThousandths === 0}
                onPress={() => setLending(true)}
              />
            )}
            <Button grow label="Its condition …" onPress={() => setMode('condition')} />
          </XStack>
          <Button kind="quiet" label={lot.batch ? `Batch ${lot.batch}` : 'Batch …'} onPress={() => setMode('batch')} />
        </YStack>
      ) : null}
      {leaving ? (
        <YStack gap={8} role="group" aria-label="Does it thaw?">
          <Text>{`“${leaving.name}” is not set up as a freezer. Does it thaw there?`}</Text>
          <Small>{thawingWords(addDays(today(), THAWED_DAYS), today())}</Small>
          <Button kind="primary" label="It thaws, for use" onPress={thawTo(leaving)} />
          <Button label="It stays frozen" onPress={moveTo(leaving)} />
        </YStack>
      ) : null}
      {mode === 'freeze' && thawed ? (
        <Text color="$late">
          This has thawed. Freeze it again only if it thawed in the refrigerator and is still good; it loses quality.
          When in doubt, throw it out.
        </Text>
      ) : null}
      {(mode === 'move' || mode === 'freeze' || mode === 'thaw') && !leaving ? (
        <NookPicker
          label={whereToWords(mode, text)}
          prefer={mode === 'freeze' ? 'freezer' : null}
          exclude={mode === 'move' ? lot.nookId : null}
          onPick={(nookId, name) =>
            mode === 'move' && frozen && !isInFreezer(state, nookId)
              ? setLeaving({ nookId, name })
              : mode === 'move'
                ? moveTo({ nookId, name })()
                : mode === 'thaw'
                  ? thawTo({ nookId, name })()
                  : act(
                      'stock_frozen',
                      (n) => opsForFreezing(lot, n, nookId, present(nookId), opContext()),
                      (n) => `Frozen today: ${said(n)} in ${name}.`,
                    )()
          }
        />
      ) : null}
      {mode === 'decant' ? (
        <DecantTo
          lot={lot}
          item={item}
          present={present}
          onPour={(jarId, name, washed) =>
            act(
              'stock_decanted',
              (n) => opsForDecanting([lot], item, n, jarId, present(jarId), washed, opContext()),
              (n) => `Filled: ${said(n)} into ${name}.`,
            )()
          }
        />
      ) : null}
      {mode === 'condition' ? (
        <Choices
          label={`What is it with ${measured ? 'it' : text} of them?`}
          wrap
          choices={[
            { value: 'fine', label: 'All is well' },
            ...CONDITIONS.map((value) => ({ value, label: CONDITION_WORDS[value] })),
          ]}
          value={lot.condition ?? 'fine'}
          onChange={(value) => {
            const condition = CONDITIONS.find((one) => one === value) ?? null;
            act(
              'condition_said',
              (n) => opsForCondition(lot, n, condition, present(lot.nookId), opContext()),
              (n) => `${said(n)}: ${condition === null ? 'all is well' : CONDITION_WORDS[condition]}.`,
            )();
          }}
        />
      ) : null}
      {mode === 'batch' ? (
        <BatchField
          start={lot.batch ?? ''}
          onSave={(batch) => {
            onClose();
            void runCommand(
              'lot_changed',
              [{ op: 'change', entity: 'lot', id: lot.id, fields: { batch } }],
              batch === null ? `No batch: ${item.name}.` : `Batch ${batch}: ${item.name}.`,
            );
          }}
        />
      ) : null}
      {mode === 'discard' ? (
        <YStack gap={8}>
          <Small>Medicines, chemicals and batteries go to a collection point, not into the bin or the drain.</Small>
          <Choices
            label="Why does it leave?"
            wrap
            choices={DISCARD_REASONS.map((value) => ({ value, label: REASONS[value] }))}
            value={null}
            onChange={(reason) =>
              act(
                'stock_discarded',
                (n) => opsForDiscarding(lot, n, reason, opContext()),
                (n) => `Gone, ${REASONS[reason]}: ${said(n)}.`,
              )()
            }
          />
        </YStack>
      ) : null}
      <Button
        kind="quiet"
        label={mode === 'choose' ? 'Close' : 'Back'}
        onPress={() => {
          if (mode === 'choose') return onClose();
          setLeaving(null);
          setMode('choose');
        }}
      />
    </Dialog>
  );
}

/** The maker's batch, as printed; recalls name it. */
function BatchField({ start, onSave }: { start: string; onSave: (batch: string | null) => void }) {
  const [text, setText] = useState(start);
  const save = (): void => onSave(text.trim() === '' ? null : text.trim());
  return (
    <YStack gap={8}>
      <Field
        label="Batch, as printed"
        hint="A recall names it."
        autoFocus
        autoCapitalize="characters"
        maxLength={40}
        value={text}
        onChangeText={setText}
        onSubmitEditing={save}
      />
      <Button kind="primary" label="Save" onPress={save} />
    </YStack>
  );
}
