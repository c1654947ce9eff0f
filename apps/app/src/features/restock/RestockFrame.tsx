import type { ReactNode } from 'react';
import { Screen } from '@/kit/layout/Screen';
import { StepNav, type Step } from '@/kit/layout/StepNav';

const STEPS: readonly Step[] = [
  { path: '/restock', label: 'List' },
  { path: '/restock/shop', label: 'Shop' },
  { path: '/restock/put-away', label: 'Put away' },
  { path: '/restock/refill', label: 'Refill' },
];

/** A page of restocking, with the way to the others in the order in which one does them. */
export function RestockFrame({
  title,
  sub,
  right,
  footer,
  children,
}: {
  title: string;
  sub?: string;
  right?: ReactNode;
  footer?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Screen title={title} sub={sub} right={right} footer={footer}>
      <StepNav label="Restocking" steps={STEPS} />
      {children}
    </Screen>
  );
}
