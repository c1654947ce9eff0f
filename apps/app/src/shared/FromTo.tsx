import type { ReactNode } from 'react';
import { XStack } from 'tamagui';
import { Small } from '@/kit/text/Text';
import { NookPlate } from './NookPlate';

/** From where to where something is carried, as on the bins themselves. */
export const FromTo = ({
  from,
  to,
  both = false,
  children,
}: {
  from: string;
  to: string;
  /** They change places. */
  both?: boolean;
  children?: ReactNode;
}) => (
  <XStack gap={6} alignItems="center" flexWrap="wrap">
    <NookPlate nookId={from} />
    <Small aria-label={both ? 'and' : 'to'}>{both ? '↔' : '→'}</Small>
    <NookPlate nookId={to} />
    {children}
  </XStack>
);
