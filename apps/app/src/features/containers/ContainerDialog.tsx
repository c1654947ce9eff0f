import {
  BIN_LOOKS,
  CONTAINER_FORMS,
  definitionOf,
  LEAST_SIDE_TENTH_MM,
  type ContainerFields,
  type ContainerRow,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { v7 as uuidv7 } from 'uuid';
import { BIN_LOOK_WORDS } from '@/features/spaces/words';
import { roomForPath } from '@/shared/roomForPath';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { choicesOf } from '@/kit/form/choice';
import { FormDialog } from '@/kit/form/FormDialog';
import type { Input } from '@/kit/form/inputs';
import { Button } from '@/kit/press/Button';
import { FORM_WORDS } from './words';

const figure = (label: string, hint?: string): Input => ({ label, narrow: true, ...(hint ? { hint } : {}) });
const FIRST = {
  name: { label: 'What is it called?', placeholder: 'Shoe box', needed: 'A container needs a name.' },
  look: {
    label: 'Looks',
    hideLabel: true,
    choices: choicesOf(
      BIN_LOOKS.filter((look) => look !== 'kept_free'),
      BIN_LOOK_WORDS,
    ),
  },
  topWidthTenthMm: figure('Wide'),
  topDepthTenthMm: figure('Deep'),
  heightTenthMm: figure('High, shut'),
  owned: figure('Owned'),
  priceMinor: figure('Price'),
  family: figure('Family'),
  hasLid: { label: 'Lid', hideLabel: true, choices: choicesOf(['yes', 'no'], { yes: 'With lid', no: 'Open' }) },
  free: {
    label: 'Where it came from',
    hideLabel: true,
    choices: choicesOf(['yes', 'no'], { yes: 'Came for free', no: 'Bought' }),
  },
} satisfies Partial<Record<keyof ContainerFields, Input>>;
const MORE = {
  form: {
    label: 'How it is used',
    choices: [{ value: '', label: 'Set down' }, ...choicesOf(CONTAINER_FORMS, FORM_WORDS)],
  },
  sections: figure('Sections, or small boxes in it'),
  colour: figure('Colour'),
  baseWidthTenthMm: figure('Foot, wide'),
  baseDepthTenthMm: figure('Foot, deep'),
  openHeightTenthMm: figure('Lid open, high'),
  innerVolumeMl: figure('Litres inside'),
  insideWidthTenthMm: figure('Inside, wide'),
  insideDepthTenthMm: figure('Inside, deep'),
  insideHeightTenthMm: figure('Inside, high'),
  stackPitchTenthMm: figure('Stacked, each adds'),
  nestPitchTenthMm: figure('Nested, each adds'),
  maxLoadGrams: figure('Carries'),
  weightGrams: figure('Weighs'),
} satisfies Partial<Record<keyof ContainerFields, Input>>;
/** As they are asked for: what came later is there as well. */
type Asked = Required<ContainerFields>;
const INPUTS: Readonly<Record<keyof ContainerFields, Input>> = { ...FIRST, ...MORE };
const NEW: Partial<Asked> = { look: 'closed', owned: 1, hasLid: false, free: false, form: null };

const SIDES = ['topWidthTenthMm', 'topDepthTenthMm', 'heightTenthMm', 'stackPitchTenthMm'] as const;
/** A side under half a centimetre is a slip, and would make any number fit. */
function checkSides(fields: ContainerFields): Partial<Record<keyof ContainerFields, string>> {
  const small = SIDES.filter((key) => (fields[key] ?? LEAST_SIDE_TENTH_MM) < LEAST_SIDE_TENTH_MM);
  return Object.fromEntries(small.map((key) => [key, 'At least 5 mm.']));
}

/** One kind of container: three measures are enough to begin with. Outside, at the widest. */
export function ContainerDialog({ container, onClose }: { container: ContainerRow | null; onClose: () => void }) {
  const runCommand = useRunCommand();
  const router = useRouter();
  const { unit, currency } = useHome();
  const save = (fields: ContainerFields): void =>
    void runCommand(
      container ? 'container_changed' : 'container_added',
      [
        container
          ? { op: 'change', entity: 'container', id: container.id, fields }
          : { op: 'create', entity: 'container', id: uuidv7(), fields },
      ],
      `Saved: ${fields.name}.`,
    );
  return (
    <FormDialog<keyof Asked, Asked>
      title={container ? container.name : 'A kind of container'}
      fields={definitionOf('container').fields}
      inputs={INPUTS}
      start={container ? { form: null, sections: null, ...container } : NEW}
      unit={unit}
      currency={currency}
      check={checkSides}
      folded={{
        label: 'More: foot, lid, inside, stack, load, sections',
        keys: Object.keys(MORE) as (keyof typeof MORE)[],
      }}
      onSave={save}
      onClose={onClose}
    >
      {container ? (
        <Button
          kind="quiet"
          label="Where is room for one more?"
          onPress={() => {
            onClose();
            router.push(
              roomForPath(container.name, [
                container.topWidthTenthMm,
                container.topDepthTenthMm,
                container.heightTenthMm,
              ]),
            );
          }}
        />
      ) : null}
      {container ? (
        <Button
          kind="quiet"
          label="No longer in the house"
          onPress={() => {
            onClose();
            void runCommand(
              'container_removed',
              [{ op: 'retire', entity: 'container', id: container.id }],
              `Removed: ${container.name}.`,
            );
          }}
        />
      ) : null}
    </FormDialog>
  );
}
