import { styled, Text as BareText } from 'tamagui';

/** Running text: 16 on 22. */
export const Text = styled(BareText, { fontFamily: '$body', fontSize: 16, lineHeight: 22, color: '$color' });
export const Strong = styled(Text, { fontFamily: '$strong' });
export const Small = styled(Text, { fontSize: 14, lineHeight: 19, color: '$second' });
export const Title = styled(Text, {
  role: 'heading',
  'aria-level': 1,
  fontFamily: '$heading',
  fontSize: 20,
  lineHeight: 26,
} as never);
export const Heading = styled(Text, { role: 'heading', 'aria-level': 2, fontFamily: '$heading' } as never);
/** Codes, in the bold monospaced companion. */
export const Mono = styled(BareText, { fontFamily: '$mono', fontSize: 13, lineHeight: 18, color: '$color' });
/** For a screen reader only: what a sign says to the eye. */
export const HiddenText = styled(Text, {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  right: 0,
  bottom: 0,
} as never);
