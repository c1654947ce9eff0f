import { usePathname, useRouter } from 'expo-router';
import { ScrollView, XStack } from 'tamagui';
import { pressable } from '@/kit/press/pressable';
import { Strong } from '@/kit/text/Text';

export interface Step {
  path: string;
  label: string;
}

/** The steps of one job, in their order; each is a place of its own. */
export function StepNav({ label, steps }: { label: string; steps: readonly Step[] }) {
  const router = useRouter();
  const path = usePathname();
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} flexGrow={0}>
      <XStack render="nav" aria-label={label} paddingHorizontal={16} gap={4}>
        {steps.map((step, at) => {
          const here = path === step.path;
          const go = (): void => router.replace(step.path as never);
          return (
            <XStack
              key={step.path}
              {...pressable({ onPress: go, role: 'link' })}
              aria-label={step.label}
              aria-current={here ? 'step' : undefined}
              minHeight={44}
              paddingHorizontal={9}
              alignItems="center"
              borderBottomWidth={3}
              borderColor={here ? '$green' : 'transparent'}
            >
              <Strong fontSize={15} color={here ? '$green' : '$color'}>
                {at + 1} {step.label}
              </Strong>
            </XStack>
          );
        })}
      </XStack>
    </ScrollView>
  );
}
