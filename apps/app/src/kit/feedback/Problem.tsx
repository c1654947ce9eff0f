import { Small } from '@/kit/text/Text';

/** One sentence about what cannot be, announced when it appears; nothing when all is well. */
export function Problem({ text }: { text: string | null | undefined }) {
  return text ? (
    <Small color="$late" role="alert">
      {text}
    </Small>
  ) : null;
}
