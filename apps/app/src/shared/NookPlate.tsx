import { memo } from 'react';
import { useHousehold } from '@/shared/HouseholdProvider';
import { Plate } from '@/kit/text/Plate';

/** The plate of a nook, by its id; nothing when there is no such nook. */
export const NookPlate = memo(function NookPlate({ nookId }: { nookId: string }) {
  const code = useHousehold(({ state }) => state.nook(nookId)?.row.code ?? null);
  return code === null ? null : <Plate code={code} />;
});
