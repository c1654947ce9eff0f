import type { LinePart, RecordedLine } from '@ours/core';
import { pressable } from '@/kit/press/pressable';
import { XStack } from 'tamagui';
import { Text } from '@/kit/text/Text';
import { PART_WORDS } from './cardWords';

/** The line from its beginning, piece by piece; a tap on one lights up what it was read as. */
export function LinePieces({
  card,
  lit,
  onPick,
}: {
  card: RecordedLine;
  lit: LinePart | null;
  onPick: (part: LinePart | null) => void;
}) {
  return (
    <XStack
      flexWrap="wrap"
      columnGap={2}
      paddingHorizontal={10}
      paddingVertical={4}
      borderBottomWidth={1}
      borderColor="$borderColor"
      role="group"
      aria-label="The line, piece by piece"
      testID="line-pieces"
    >
      {card.pieces.map(({ from, to, part }) => {
        const written = card.text.slice(from, to);
        if (part === 'nothing') return <Piece key={from} written={written} quiet />;
        const chosen = part === lit;
        return (
          <XStack
            key={from}
            {...pressable({ onPress: () => onPick(chosen ? null : part) })}
            aria-pressed={chosen}
            aria-label={`${written}: ${PART_WORDS[part]}`}
            borderRadius={6}
            backgroundColor={chosen ? '$greenTint' : 'transparent'}
          >
            <Piece written={written} chosen={chosen} asked={part === 'question'} />
          </XStack>
        );
      })}
    </XStack>
  );
}

function Piece({
  written,
  quiet = false,
  chosen = false,
  asked = false,
}: {
  written: string;
  quiet?: boolean;
  chosen?: boolean;
  asked?: boolean;
}) {
  return (
    <XStack minHeight={40} alignItems="center" paddingHorizontal={4}>
      <XStack
        borderBottomWidth={quiet ? 0 : 2}
        borderColor={asked ? '$late' : chosen ? '$green' : '$borderColor'}
        paddingBottom={1}
      >
        <Text color={quiet ? '$second' : asked ? '$late' : chosen ? '$green' : '$color'}>{written}</Text>
      </XStack>
    </XStack>
  );
}
