import { useRouter } from 'expo-router';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Button } from '@/kit/press/Button';
import { untilIdle } from '@/data/store/idle';
import { useDone } from '@/shared/DoneProvider';
import type { Action } from './actions';

// Parts of their own: a home opens without them. The field is fetched while nobody does anything, so that it opens at once.
const actionsPart = () => import('./ActionsDialog').then((module) => ({ default: module.ActionsDialog }));
const ActionsDialog = lazy(actionsPart);
const KeysDialog = lazy(() => import('./KeysDialog').then((module) => ({ default: module.KeysDialog })));

/** A scanner that types may send a `/` among its letters: a key alone is followed by none within so many milliseconds. */
const ALONE_MS = 60;
const OPEN_EVENT = 'nook-actions';

/** Whether a key goes into a field, and so means a letter. */
const isWriting = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);

const GONE_MS = 400;

/** Opens Find, and puts the cursor into its field once that is there. */
function goFind(navigate: () => void): void {
  navigate();
  let tries = 20;
  const focus = (): void => {
    const field = document.querySelector<HTMLElement>('[data-testid="find"]');
    if (field) field.focus();
    else if (tries-- > 0) setTimeout(focus, 50);
  };
  focus();
}

/** Keys that work on every page, the field that knows every action by its words, and the list of all keys. */
export function KeysAnywhere() {
  const router = useRouter();
  const { undo, redo } = useDone();
  const [shown, setShown] = useState<'actions' | 'keys' | null>(null);
  const now = useRef({ undo, redo, router });
  useEffect(() => {
    now.current = { undo, redo, router };
  });
  useEffect(() => void untilIdle().then(actionsPart, () => null), []);
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const alone = (work: () => void): void => {
      waiting = setTimeout(work, ALONE_MS);
    };
    const onKey = (event: KeyboardEvent): void => {
      // Whatever waited was not alone.
      clearTimeout(waiting);
      if (event.defaultPrevented || event.altKey) return;
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      if (isWriting(event.target)) return;
      if (command && key === 'z' && !event.shiftKey) now.current.undo();
      else if (command && ((key === 'z' && event.shiftKey) || key === 'y')) now.current.redo();
      else if (!command && key === '/') alone(() => goFind(() => now.current.router.navigate('/')));
      else if (!command && key === '?') alone(() => setShown('keys'));
      else return;
      event.preventDefault();
    };
    const onOpen = (): void => setShown('actions');
    // Before it reaches a field: those keep what is typed in them to themselves.
    const onCtrlK = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || event.key.toLowerCase() !== 'k') return;
      event.preventDefault();
      setShown('actions');
    };
    window.addEventListener('keydown', onCtrlK, true);
    window.addEventListener('keydown', onKey);
    window.addEventListener(OPEN_EVENT, onOpen);
    return () => {
      clearTimeout(waiting);
      window.removeEventListener('keydown', onCtrlK, true);
      window.removeEventListener('keydown', onKey);
      window.removeEventListener(OPEN_EVENT, onOpen);
    };
  }, []);
  const perform = ({ does }: Action): void => {
    setShown(does.kind === 'keys' ? 'keys' : null);
    if (does.kind === 'open') router.push(does.path as never);
    else if (does.kind === 'undo') undo();
    else if (does.kind === 'redo') redo();
    // Once the field is gone from the page.
    else if (does.kind === 'print') setTimeout(() => window.print(), GONE_MS);
  };
  if (shown === null) return null;
  const close = (): void => setShown(null);
  return (
    <Suspense fallback={null}>
      {shown === 'actions' ? <ActionsDialog onPick={perform} onClose={close} /> : <KeysDialog onClose={close} />}
    </Suspense>
  );
}

/** Opens the field of actions, for whoever has a mouse. */
export const ActionsButton = () => (
  <Button kind="quiet" label="Actions  Ctrl K" onPress={() => window.dispatchEvent(new Event(OPEN_EVENT))} />
);
