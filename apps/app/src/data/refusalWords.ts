import type { Refusal } from '@ours/core';

/** What the rules or the check of a command's shape have to say. */
export type AnyRefusal = Refusal | { kind: 'not_accepted'; detail: string };

/** Why something could not be done, in one sentence a person can act on. */
export function refusalWords(refusal: AnyRefusal): string {
  switch (refusal.kind) {
    case 'holds_stock': {
      if (refusal.entity === 'item') return 'There is still some of it at home; take or throw out what is left first.';
      const parts = [
        refusal.lots > 0 ? `${refusal.lots} ${refusal.lots === 1 ? 'thing' : 'things'}` : '',
        refusal.nooks > 0 ? `${refusal.nooks} ${refusal.nooks === 1 ? 'place' : 'places'}` : '',
      ].filter((part) => part !== '');
      return `It still holds ${parts.join(' and ')}; say first where they go.`;
    }
    case 'code_taken':
      return `The code ${refusal.code} is on another place already; give this one a new code.`;
    case 'would_contain_itself':
      return 'A bin cannot stand inside itself.';
    case 'parent_missing':
      return 'The place it should go to is no longer there.';
    case 'unknown_id':
      return 'It is no longer there; somebody may have removed it.';
    case 'id_taken':
      return 'It is there already.';
    case 'not_accepted':
      return `It was not accepted: ${refusal.detail}`;
  }
}
