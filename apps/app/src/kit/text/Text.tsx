import { styled, Text } from 'tamagui';

/** Running text: 16 on 22. */
export const Words = styled(Text, { fontFamily: '$body', fontSize: 16, lineHeight: 22, color: '$color' });
export const Strong = styled(Words, { fontFamily: '$strong' });
export const Small = styled(Words, { fontSize: 14, lineHeight: 19, color: '$second' });
export const Title = styled(Words, {
  role: 'heading',
  'aria-level': 1,
  fontFamily: '$heading',
  fontSize: 20,
  lineHeight: 26,
} as never);
export const Heading = styled(Words, { role: 'heading', 'aria-level': 2, fontFamily: '$heading' } as never);
/** Codes, in the bold monospaced companion. */
export const Mono = styled(Text, { fontFamily: '$mono', fontSize: 13, lineHeight: 18, color: '$color' });
