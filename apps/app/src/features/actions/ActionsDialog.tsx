import { useState } from 'react';
import { YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { actionsOf, findActions, type Action } from './actions';

const MOST = 9;
/** Things that are offered below the actions. */
const MOST_THINGS = 4;

/** A field that knows every action by its words; the first one, or the one the arrows chose, is done by Enter. */
export function ActionsDialog({ onPick, onClose }: { onPick: (action: Action) => void; onClose: () => void }) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const { actions, things } = useHousehold(({ state, store, version }) => ({
    actions: actionsOf(state),
    things:
      text.trim().length < 2
        ? []
        : store.finder.find(text, MOST_THINGS * 2).flatMap((found): Action[] =>
            found.kind === 'item'
              ? [
                  {
                    id: found.item.id,
                    title: found.item.name,
                    detail: 'about this thing',
                    does: { kind: 'open', path: `/item/${found.item.id}` },
                  },
                ]
              : [],
          ),
    version,
  }));
  const shown = [...findActions(actions, text, MOST), ...things.slice(0, MOST_THINGS)];
  const key = (event: { nativeEvent: { key: string }; preventDefault: () => void }): void => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.nativeEvent.key];
    if (step === undefined || shown.length === 0) return;
    event.preventDefault();
    setAt((now) => (now + step + shown.length) % shown.length);
  };
  return (
    <Dialog title="What is to be done?" open onClose={onClose}>
      <Field
        label="Words of an action, a space or a thing"
        autoFocus
        value={text}
        onChangeText={(next) => {
          setText(next);
          setAt(0);
        }}
        onKeyPress={key as never}
        onSubmitEditing={() => shown[at] && onPick(shown[at])}
      />
      <YStack role="group" aria-label="Actions">
        {shown.map((action, index) => (
          <ListRow
            key={action.id}
            title={action.title}
            detail={action.detail}
            selected={index === at}
            onPress={() => onPick(action)}
          />
        ))}
        {shown.length === 0 ? <Small>No action, space or thing has these words.</Small> : null}
      </YStack>
    </Dialog>
  );
}
