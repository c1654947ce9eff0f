import { BARE_SPACE_BUILD, binsNeeded, groupThings, innerVolumeMl, lotsWithin, type SpaceRow } from '@ours/core';
import { YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { useHome } from '@/shared/useHome';
import { counted } from '@/kit/text/counted';
import { Choices } from '@/kit/form/Choices';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Small } from '@/kit/text/Text';
import { groupName, groupWords } from './words';
import { GROUP_BY_CHOICES, GROUP_BY_WORDS } from '@/shared/groupByWords';

/** What stays, in groups by the space's way of grouping, and how many bins each would want. */
export function SortResult({ space }: { space: SpaceRow }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const groupBy = space.build?.school ?? 'order';
  const { groups, bin } = useHousehold(({ state }) => {
    const open = state.clearOutsOf(space.id).find(({ finishedAt }) => finishedAt === null);
    const leaving = new Set(
      open
        ? state
            .verdictsOf(open.id)
            .filter(({ verdict }) => verdict !== 'keep')
            .map(({ lotId }) => lotId)
        : [],
    );
    const staying = lotsWithin(state, space.id).filter(({ id }) => !leaving.has(id));
    // The type most bins here are, else the one owned most: what a group is counted in.
    const here = state
      .shelvesOf(space.id)
      .flatMap(({ id }) => state.binsIn(id).flatMap(({ containerId }) => (containerId ? [containerId] : [])));
    const usual = here[0] ?? [...state.all('container')].sort((a, b) => b.owned - a.owned)[0]?.id;
    return {
      groups: groupThings(state, staying, groupBy, today()),
      bin: usual ? (state.get('container', usual) ?? null) : null,
    };
  });
  return (
    <YStack testID="sort-groups">
      <ListHeading
        title="What stays, in groups"
        remark={counted(groups.length, { one: '# group', other: '# groups' })}
      />
      <YStack padding={16} paddingBottom={4}>
        <Choices
          label="By what"
          hideLabel
          choices={GROUP_BY_CHOICES}
          value={groupBy}
          onChange={(next) =>
            void runCommand(
              'school_changed',
              [
                {
                  op: 'change',
                  entity: 'space',
                  id: space.id,
                  fields: { build: { ...(space.build ?? BARE_SPACE_BUILD), school: next } },
                },
              ],
              `Grouped by: ${GROUP_BY_WORDS[next].toLowerCase()}.`,
            )
          }
        />
      </YStack>
      {groups.map((group) => {
        const bins = bin ? binsNeeded(group, innerVolumeMl(bin)) : 0;
        return (
          <ListRow
            key={group.id}
            title={groupName(group.key)}
            detail={groupWords(group, unit)}
            right={bin ? <Small>{counted(bins, { one: '# bin', other: '# bins' })}</Small> : null}
          />
        );
      })}
      {bin && groups.length > 0 ? (
        <Small
          padding={16}
        >{`Bins counted as “${bin.name}”, filled to four fifths. “About”: some things were never measured.`}</Small>
      ) : null}
    </YStack>
  );
}
