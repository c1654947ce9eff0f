import { formatQuantity, type LineQuestion, type RecordedLine } from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { today } from '@/data/planContext';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import { dateWords } from '../stock/words';

const FIELD = { expiresOn: 'until', openedOn: 'opened', frozenOn: 'frozen' } as const;

/** What the line leaves open is asked, never guessed. */
export function Questions({
  card,
  onChange,
}: {
  card: RecordedLine;
  onChange: (changes: Partial<RecordedLine>) => void;
}) {
  const without = (question: LineQuestion): LineQuestion[] => card.questions.filter((other) => other !== question);
  return (
    <>
      {card.questions.map((question, at) => (
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
          <Words color="$soon">{questionWords(question)}</Words>
          <XStack gap={8} flexWrap="wrap">
            {question.kind === 'which_date'
              ? question.options.map(({ on, precision }) => (
                  <Button
                    key={on}
                    label={dateWords(on, today())}
                    onPress={() =>
                      onChange({
                        [question.field]: on,
                        questions: without(question),
                        ...(question.field === 'expiresOn' ? { expiryPrecision: precision } : {}),
                      })
                    }
                  />
                ))
              : null}
            {question.kind === 'date_unreadable' ? (
              <Button label="Leave the date out" onPress={() => onChange({ questions: without(question) })} />
            ) : null}
            {question.kind === 'number_in_name' ? (
              <>
                <Button
                  label={`There are ${formatQuantity(question.thousandths)}`}
                  onPress={() =>
                    onChange({
                      quantityThousandths: question.thousandths,
                      quantityGiven: true,
                      name: card.name.slice(0, -question.written.length).trim(),
                      questions: without(question),
                    })
                  }
                />
                <Button label="It belongs to the name" onPress={() => onChange({ questions: without(question) })} />
              </>
            ) : null}
          </XStack>
        </YStack>
      ))}
    </>
  );
}

function questionWords(question: LineQuestion): string {
  if (question.kind === 'which_date')
    return `“${question.written}” can be read in more than one way. Which day is it ${FIELD[question.field]}?`;
  if (question.kind === 'date_unreadable')
    return `“${question.written}” is not a date; write for example 3/27, 12 mar or 2027-03-01.`;
  return `Does “${question.written}” say how many there are?`;
}
