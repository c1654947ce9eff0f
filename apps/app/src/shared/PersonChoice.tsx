import { Choices } from '@/kit/form/Choices';
import { useHousehold } from '@/shared/HouseholdProvider';

const NOBODY = 'nobody';

/** One of the people of the home, or nobody. */
export function PersonChoice({
  label,
  value,
  nobody,
  only = () => true,
  onChange,
}: {
  label: string;
  value: string | null;
  /** What nobody is called here; without it, it has to be somebody. */
  nobody?: string;
  only?: (role: 'adult' | 'child' | 'helper') => boolean;
  onChange: (personId: string | null) => void;
}) {
  const people = useHousehold(({ state }) =>
    state
      .all('person')
      .filter(({ role }) => only(role))
      .map(({ id, name }) => ({ value: id, label: name })),
  );
  if (people.length === 0) return null;
  return (
    <Choices
      label={label}
      wrap
      choices={nobody === undefined ? people : [...people, { value: NOBODY, label: nobody }]}
      value={value ?? NOBODY}
      onChange={(chosen) => onChange(chosen === NOBODY ? null : chosen)}
    />
  );
}
