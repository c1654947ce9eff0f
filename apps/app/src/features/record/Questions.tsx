import { formatQuantity, type DateField, type LineQuestion, type LineReading, type RecordedLine } from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { dayWords } from '@/kit/text/dayWords';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { Button } from '@/kit/press/Button';
import { Text } from '@/kit/text/Text';
import { sizeWords } from '@/features/stock/words';
import { dateLabel, quantityWords, questionWords, readingWords } from './cardWords';

type Changes = Partial<LineReading>;
interface Answer {
  label: string;
  changes: Changes;
}

/** What the line leaves open is asked, never guessed. */
export function Questions({ card, onChange }: { card: RecordedLine; onChange: (changes: Changes) => void }) {
  const codeOf = useHousehold(
    ({ state }) =>
      (key: string) =>
        state.nook(state.nookIdByCodeKey(key) ?? '')?.row.code ?? null,
  );
  return (
    <>
      {card.questions.map((question, at) => {
        const rest = card.questions.filter((other) => other !== question);
        return (
          <YStack
            key={at}
            padding={14}
            gap={8}
            backgroundColor="$soonTint"
            borderBottomWidth={1}
            borderColor="$borderColor"
            role="group"
            aria-label="To be made clear"
          >
            <Text color="$soon">{questionWords(question)}</Text>
            <XStack gap={8} flexWrap="wrap">
              {answersTo(question, card, codeOf).map(({ label, changes }) => (
                <Button key={label} label={label} onPress={() => onChange({ questions: rest, ...changes })} />
              ))}
            </XStack>
          </YStack>
        );
      })}
    </>
  );
}

/** The answers that one tap gives; what they change on the card. */
function answersTo(question: LineQuestion, card: RecordedLine, codeOf: (key: string) => string | null): Answer[] {
  const day = today();
  switch (question.kind) {
    case 'which_date':
      return [
        ...question.options.map((option) => ({
          label: dayWords(option.on, day),
          changes: dated(question.field, option, card),
        })),
        { label: 'Leave the date out', changes: {} },
      ];
    case 'date_unreadable':
      return [{ label: 'Leave the date out', changes: {} }];
    case 'date_meaning':
      return [
        ...question.fields.flatMap((field) =>
          question.options.map((option) => ({
            label: `${dateLabel(field, card)} ${dayWords(option.on, day)}`,
            changes: dated(field, option, card),
          })),
        ),
        { label: 'Leave it out', changes: {} },
      ];
    case 'number_in_name':
      return [
        {
          label: `There are ${formatQuantity(question.thousandths)}`,
          changes: {
            quantityThousandths: question.thousandths,
            quantityGiven: true,
            name: withoutLast(card.name, question.written),
          },
        },
        { label: 'It belongs to the name', changes: {} },
      ];
    case 'how_many':
      return question.options.map(({ thousandths, unit }) => ({
        label: quantityWords(thousandths, unit),
        changes: { quantityThousandths: thousandths, unit, quantityGiven: true },
      }));
    case 'which_size':
      return question.options.map((packSize) => ({ label: sizeWords(packSize), changes: { packSize } }));
    case 'which_item':
      return [
        ...question.options.map(({ itemId, name }) => ({ label: name, changes: { itemId, name } })),
        { label: 'Another one, new', changes: { itemId: null } },
      ];
    case 'which_place': {
      const code = question.key === null ? null : codeOf(question.key);
      return [
        ...(code === null ? [] : [{ label: code, changes: { placeKey: question.key } }]),
        { label: 'The place above', changes: {} },
      ];
    }
    case 'none_of_it':
      return [
        { label: 'Yes, none left', changes: { action: 'count', quantityThousandths: 0, quantityGiven: true } },
        {
          label: 'No, it is part of the name',
          changes: { action: 'put_in', quantityThousandths: 1000, name: `${question.written} ${card.name}` },
        },
      ];
    // A whole reading brings its own questions along; a change of one part leaves the others open.
    case 'which_reading':
      return question.options.map((changes) => ({
        label: readingWords({ ...card, ...changes }),
        changes,
      }));
    case 'leftover':
      return [
        { label: 'Leave it out', changes: { name: withoutLast(card.name, question.written) } },
        ...(card.name.includes(question.written) ? [{ label: 'It belongs to the name', changes: {} }] : []),
      ];
  }
}

function dated(
  field: DateField,
  { on, precision }: { on: string; precision: 'day' | 'month' | 'year' },
  card: RecordedLine,
): Changes {
  if (field !== 'expiresOn') return { [field]: on };
  return { expiresOn: on, expiryPrecision: precision, dateKind: card.dateKind ?? 'best_before' };
}

/** A name without the last place where something stands in it; as it is when that would leave nothing. */
function withoutLast(name: string, written: string): string {
  const at = name.lastIndexOf(written);
  if (at < 0) return name;
  const rest = `${name.slice(0, at)} ${name.slice(at + written.length)}`
    .replace(/\s+/g, ' ')
    .replace(/^[\s,:;]+|[\s,:;]+$/g, '');
  return rest === '' ? name : rest;
}
