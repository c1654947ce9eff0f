import type { KeyboardEvent } from 'react';
import { ARROWS, nearestThatWay } from './nearest';

/** An arrow pressed on a part of a drawing goes to the part that lies that way. What is being carried by the keys keeps the arrows. */
export function arrowFocus(event: KeyboardEvent): void {
  const way = ARROWS[event.key];
  const target = event.target as HTMLElement;
  if (!way || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return;
  if (target.getAttribute('role') !== 'button' || target.getAttribute('aria-pressed') === 'true') return;
  const within = event.currentTarget as HTMLElement;
  const all = Array.from(within.querySelectorAll<HTMLElement>('[role="button"]'));
  const parts = all.filter((part) => part !== target);
  const at = nearestThatWay(
    target.getBoundingClientRect(),
    parts.map((part) => part.getBoundingClientRect()),
    way,
  );
  if (at === null) return;
  event.preventDefault();
  parts[at]!.focus();
  parts[at]!.scrollIntoView?.({ block: 'nearest', inline: 'nearest' });
}
