import {
  formatMoney,
  formatVolume,
  roomMl,
  standingIn,
  type HouseholdState,
  type PlanRow,
  type SpaceRow,
} from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { useHome } from '@/shared/useHome';
import { Button } from '@/kit/press/Button';
import { ListHeading } from '@/kit/layout/ListRow';
import { Small, Strong } from '@/kit/text/Text';
import { minutesFigure } from '@/features/where/words';
import { viewPlan } from './planView';
import { standingPlan } from './standingPlan';
import { wishesOf } from './usePlanWork';

interface Value {
  text: string;
  /** Less is better; null: neither is. */
  rank: number | null;
}
interface Column {
  plan: PlanRow;
  values: Value[];
}

const ROWS = ['Housed', 'Min a month', 'Left over', 'Containers', 'To buy', 'Shelves moved', 'Stacked', 'Free volume'];

/** Two or three plans side by side: what fits, money, what is free, what is lost. */
export function PlanCompare({ space, plans }: { space: SpaceRow; plans: readonly PlanRow[] }) {
  const { unit, currency } = useHome();
  const runCommand = useRunCommand();
  const columns = useHousehold(({ state }) =>
    plans.map((plan): Column => ({ plan, values: valuesOf(state, space, plan, unit, currency) })),
  );
  if (plans.length === 0) return null;
  return (
    <YStack testID="plan-compare">
      <ListHeading title="Plans side by side" remark={plans.length === 1 ? 'one so far' : undefined} />
      <YStack backgroundColor="$background" paddingVertical={6} role="table" aria-label="Plans side by side">
        <XStack role="row">
          <Cell role="columnheader" text="Plan" head />
          {columns.map(({ plan }) => (
            <Cell
              key={plan.id}
              role="columnheader"
              strong
              text={plan.status === 'chosen' ? `${plan.name} ✓` : plan.name}
            />
          ))}
        </XStack>
        {ROWS.map((row, at) => (
          <XStack key={row} role="row">
            <Cell role="rowheader" text={row} head />
            {columns.map(({ plan, values }) => (
              <Cell
                key={plan.id}
                role="cell"
                text={values[at]?.text ?? ''}
                strong={isBetter(
                  values[at],
                  columns.map((column) => column.values[at]),
                )}
              />
            ))}
          </XStack>
        ))}
      </YStack>
      {plans.length > 1 ? (
        <Small paddingHorizontal={16} paddingBottom={6} backgroundColor="$background">
          • marks the better one of a row.
        </Small>
      ) : null}
      <XStack backgroundColor="$background">
        <YStack width={HEAD_WIDTH} />
        {columns.map(({ plan }) => (
          <XStack key={plan.id} flex={1}>
            <Button
              kind="quiet"
              label={`Drop ${plan.name.replace('Plan ', '')}`}
              onPress={() =>
                void runCommand(
                  'plan_dropped',
                  [{ op: 'retire', entity: 'plan', id: plan.id }],
                  `Dropped: ${plan.name}.`,
                )
              }
            />
          </XStack>
        ))}
      </XStack>
    </YStack>
  );
}

/** The least of a row in which not all are alike. */
function isBetter(value: Value | undefined, all: readonly (Value | undefined)[]): boolean {
  const ranks = all.flatMap((one) => (one?.rank === null || one?.rank === undefined ? [] : [one.rank]));
  if (value?.rank === null || value?.rank === undefined || ranks.length < 2) return false;
  const least = Math.min(...ranks);
  return value.rank <= least + 1e-9 && Math.max(...ranks) > least + 1e-9;
}

const HEAD_WIDTH = 108;

function Cell({
  text,
  role,
  strong = false,
  head = false,
}: {
  text: string;
  role: 'cell' | 'columnheader' | 'rowheader';
  strong?: boolean;
  head?: boolean;
}) {
  return (
    <XStack
      role={role as never}
      minHeight={30}
      alignItems="center"
      {...(head ? { width: 118, paddingLeft: 16 } : { flex: 1, minWidth: 0 })}
    >
      {strong ? (
        <Strong fontSize={15}>
          {text}
          {role === 'cell' ? ' •' : ''}
        </Strong>
      ) : (
        <Small color={head ? '$second' : '$color'}>{text}</Small>
      )}
    </XStack>
  );
}

function valuesOf(
  state: HouseholdState,
  space: SpaceRow,
  plan: PlanRow,
  unit: 'metric' | 'inch',
  currency: string,
): Value[] {
  const view = viewPlan(state, space, plan);
  const standing = standingPlan(state, space, plan, wishesOf(space, plan))?.standing ?? null;
  const typeOf = (id: string) => state.get('container', id);
  const lost = standing?.price.groups.flatMap(({ leftMl }) => (leftMl > 0 ? [leftMl] : [])) ?? [];
  const bought = plan.placed.filter(({ buy }) => buy);
  const cost = bought.reduce((sum, { containerId }) => sum + (typeOf(containerId)?.priceMinor ?? 0), 0);
  const moved = plan.shelves.filter(
    (one) => one.bottomTenthMm !== null && state.get('shelf', one.shelfId)?.bottomTenthMm !== one.bottomTenthMm,
  );
  const taken = standingIn(plan).reduce((sum, bin) => {
    const body = view.bodyOf(bin);
    return body ? sum + (body.width * body.depth * body.height) / 1e6 : sum;
  }, 0);
  const room = [...view.rooms.values()].reduce((sum, one) => sum + roomMl(one), 0);
  const leftMl = lost.reduce((sum, one) => sum + one, 0);
  const minutes = standing ? standing.price.sum - standing.price.left : null;
  const stacked = plan.placed.filter(({ liftTenthMm }) => liftTenthMm > 0).length;
  const freeMl = Math.max(0, room - taken);
  return [
    {
      text: plan.groups.length === 0 ? 'boxes only' : `${plan.groups.length - lost.length} of ${plan.groups.length}`,
      rank: plan.groups.length === 0 ? null : lost.length,
    },
    // What is left out costs nothing to handle: only of plans that house all the fewer minutes are better.
    { text: minutes === null ? '' : minutesFigure(minutes), rank: lost.length > 0 ? null : minutes },
    {
      text: lost.length === 0 ? 'nothing' : formatVolume(leftMl, unit),
      rank: plan.groups.length === 0 ? null : leftMl,
    },
    { text: String(plan.placed.length), rank: null },
    { text: bought.length === 0 ? 'nothing' : `${bought.length}, ${formatMoney(cost, currency)}`, rank: cost },
    { text: moved.length === 0 ? 'none' : String(moved.length), rank: moved.length },
    { text: String(stacked), rank: stacked },
    { text: formatVolume(freeMl, unit), rank: -freeMl },
  ];
}
