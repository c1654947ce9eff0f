import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';

/** Some of several, or none. */
export function Toggles({
  label,
  all,
  chosen,
  numbered = false,
  onChange,
}: {
  label: string;
  all: readonly { id: string; name: string }[];
  chosen: readonly string[];
  /** Their order matters: the chosen ones say which they are. */
  numbered?: boolean;
  onChange: (chosen: readonly string[]) => void;
}) {
  if (all.length === 0) return null;
  const toggle = (id: string): void =>
    onChange(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
  return (
    <YStack gap={4} role="group" aria-label={label}>
      <Small>{label}</Small>
      <XStack gap={6} flexWrap="wrap">
        {all.map(({ id, name }) => (
          <Button
            key={id}
            label={numbered && chosen.length > 1 && chosen.includes(id) ? `${chosen.indexOf(id) + 1} ${name}` : name}
            selected={chosen.includes(id)}
            onPress={() => toggle(id)}
          />
        ))}
      </XStack>
    </YStack>
  );
}
