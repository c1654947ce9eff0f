import { Small, Strong } from '@/kit/text/Text';

/** What stands below a drawn space: its name, its size, what it holds. */
export const SpaceCaption = ({ name, size, held }: { name: string; size: string; held: string }) => (
  <>
    <Strong numberOfLines={2} fontSize={15} lineHeight={20}>
      {name}
    </Strong>
    <Small fontFamily="$monoLight" fontSize={13} lineHeight={18}>
      {size}
    </Small>
    <Small fontSize={13} lineHeight={18}>
      {held}
    </Small>
  </>
);
