import type { AriaRole } from 'react';

export interface Pressable {
  onPress: () => void;
  /** What a screen reader calls it: a link goes somewhere, a button does something. */
  role?: 'button' | 'link' | 'radio' | 'tab';
  disabled?: boolean;
}

/**
 * What makes any piece of the page work by finger, keyboard and screen reader alike: its role, a place in the tab order,
 * Enter, and Space for all but links (there it scrolls the page). The focus ring is drawn by the page's one style.
 * A press does not reach what lies around it.
 */
export function pressable({ onPress, role = 'button', disabled = false }: Pressable) {
  const press = (): void => {
    if (!disabled) onPress();
  };
  return {
    role: role as AriaRole as 'button',
    tabIndex: 0 as const,
    cursor: disabled ? ('default' as const) : ('pointer' as const),
    'aria-disabled': disabled,
    onPress: (event: { stopPropagation?: () => void }) => {
      event.stopPropagation?.();
      press();
    },
    onKeyDown: ((event: KeyboardEvent) => {
      if (event.key !== 'Enter' && (event.key !== ' ' || role === 'link')) return;
      // A key in a control inside this one is that control's.
      if (event.target !== event.currentTarget) return;
      event.preventDefault();
      press();
    }) as never,
  };
}
