import { VIEW_COLUMNS, type ViewColumn } from '@ours/core';
import { Toggles } from '@/kit/form/Toggles';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { COLUMN_WORDS } from './columns';

const CHOSEN_FROM = VIEW_COLUMNS.filter((column) => column !== 'what');

/** Which columns are shown; the name always is. */
export function ColumnsDialog({
  hidden,
  onChange,
  onClose,
}: {
  hidden: readonly ViewColumn[];
  onChange: (hidden: ViewColumn[]) => void;
  onClose: () => void;
}) {
  return (
    <Dialog title="Columns" open onClose={onClose}>
      <Toggles
        label="Shown besides the name"
        all={CHOSEN_FROM.map((id) => ({ id, name: COLUMN_WORDS[id] }))}
        chosen={CHOSEN_FROM.filter((column) => !hidden.includes(column))}
        onChange={(chosen) => onChange(CHOSEN_FROM.filter((column) => !chosen.includes(column)))}
      />
      <Button kind="primary" label="Done" onPress={onClose} />
    </Dialog>
  );
}
