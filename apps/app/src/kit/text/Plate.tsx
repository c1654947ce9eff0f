import { Mono } from './Text';

/** What stands large on a plate, and the check character behind it. */
export const plateParts = (code: string): [plate: string, check: string] => [
  code.slice(0, -1).replace(/-$/, ''),
  code.slice(-1),
];

/**
 * A nook's code as it stands on the bin itself. Its last character is the check character: set apart and lighter, so
 * that `BL1-B1` and its `2` are not read as bin B12.
 */
export function Plate({ code, large = false }: { code: string; large?: boolean }) {
  const [plate, check] = plateParts(code);
  const size = large ? { fontSize: 18, lineHeight: 24 } : { fontSize: 14, lineHeight: 19 };
  return (
    <Mono
      {...size}
      role="img"
      aria-label={`code ${code}`}
      borderWidth={1.5}
      borderColor="$color"
      borderRadius={large ? 6 : 5}
      backgroundColor="$background"
      paddingHorizontal={large ? 10 : 7}
      paddingVertical={large ? 4 : 2}
      flexShrink={0}
      whiteSpace="nowrap"
    >
      {plate}
      <Mono {...size} fontFamily="$monoLight" color="$second" marginLeft={large ? 5 : 4}>
        {check}
      </Mono>
    </Mono>
  );
}
